import { error, json, redirect, type Handle, type HandleServerError, type RequestEvent } from '@sveltejs/kit';
import { building } from '$app/environment';
import { svelteKitHandler } from 'better-auth/svelte-kit';
import { can, routeActions } from '$lib/server/access';
import { auth } from '$lib/server/auth/library';
import { database } from '$lib/server/db/connect';
import { membershipsOf, type Membership } from '$lib/server/db/queries/members';
import { log } from '$lib/server/log';

const MOST_BYTES = 4_000_000;

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.member = null;
	if (building) return resolve(event);
	const tooLarge = refuseTooLarge(event);
	if (tooLarge) return tooLarge;
	event.request.headers.set('x-client-ip', event.getClientAddress());
	const route = event.route.id;
	if (route === null) return svelteKitHandler({ event, resolve, auth: auth(), building });
	const needs = routeActions[route];
	if (needs === undefined) throw new RangeError(`route ${route} is not in the table of rights`);
	if (needs === 'public') return resolve(event);
	const member = await memberOf(event);
	event.locals.member = member;
	if (!member) return notSignedIn(event);
	if (needs !== 'any-member' && !can(member, needs)) return notAllowed(event, member);
	return resolve(event);
};

/** The signed-in person's place in a program: the one chosen, or the first. */
async function memberOf(event: RequestEvent): Promise<Membership | null> {
	const session = await auth().api.getSession({ headers: event.request.headers });
	if (!session) return null;
	const memberships = await membershipsOf(database(), session.user.id);
	const chosen = event.url.searchParams.get('program');
	return memberships.find((m) => m.programId === chosen) ?? memberships[0] ?? null;
}

const isApi = (event: RequestEvent) => event.url.pathname.startsWith('/api/');

function notSignedIn(event: RequestEvent): Response {
	if (isApi(event)) return json({ message: 'Sign in first. What is on this device stays there until then.' }, { status: 401 });
	redirect(303, `/sign-in?to=${encodeURIComponent(event.url.pathname + event.url.search)}`);
}

function notAllowed(event: RequestEvent, member: Membership): Response {
	const message = member.removedAt ? 'You no longer belong to this program. What you wrote is kept.' : `This is not open to you as ${member.role}.`;
	if (isApi(event)) return json({ message }, { status: 403 });
	error(403, message);
}

function refuseTooLarge(event: RequestEvent): Response | null {
	const bytes = Number(event.request.headers.get('content-length') ?? 0);
	if (bytes <= MOST_BYTES) return null;
	const message = `That is ${(bytes / 1e6).toFixed(1)} MB; at most ${MOST_BYTES / 1e6} MB are taken at a time. Send fewer entries in turn; nothing was written.`;
	return json({ message }, { status: 413 });
}

export const handleError: HandleServerError = ({ error: cause, event, status, message }) => {
	if (status >= 500) log.error({ err: cause, path: event.url.pathname }, message);
	return {
		message:
			status === 404
				? 'There is nothing at this address.'
				: status >= 500
					? 'Something went wrong here. It has been noted; what you entered before is kept.'
					: message
	};
};
