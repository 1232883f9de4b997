import { error, json, redirect, type Handle, type HandleServerError, type RequestEvent } from '@sveltejs/kit';
import { building } from '$app/environment';
import { svelteKitHandler } from 'better-auth/svelte-kit';
import { can, rolesOf, routeActions } from '$lib/server/access';
import { throughGate } from '$lib/server/auth/gate';
import { auth } from '$lib/server/auth/library';
import { database, isDatabaseAway } from '$lib/server/db/connect';
import { membershipsOf, type Membership } from '$lib/server/db/queries/members';
import { inStyleOf } from '$lib/server/program-style';
import { log } from '$lib/server/log';
import { settings } from '$lib/server/settings';

const MOST_BYTES = 4_000_000;

// what nobody catches leaves a process that cannot be trusted: it ends, loudly, and whoever runs it starts another
if (!building)
	process.on('uncaughtException', (error) => {
		log.fatal({ err: error }, 'ended by an error that nobody caught');
		process.exitCode = 1;
		setTimeout(() => process.exit(1), LAST_WORDS_ms);
	});

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.member = null;
	event.locals.isDatabaseAway = false;
	if (building) return resolve(event);
	try {
		const response = await answer(event, resolve);
		return dressed(
			event.locals.isDatabaseAway && response.status >= 500
				? new Response(response.body, { status: 503, headers: waiting(response.headers) })
				: response
		);
	} catch (trouble) {
		if (!isDatabaseAway(trouble)) throw trouble;
		log.error({ err: trouble, path: event.url.pathname }, AWAY);
		if (isApi(event)) return dressed(json({ message: AWAY }, { status: 503, headers: waiting() }));
		return dressed(
			new Response(AWAY, {
				status: 503,
				headers: waiting(new Headers({ 'content-type': 'text/plain; charset=utf-8' }))
			})
		);
	}
};

async function answer(event: RequestEvent, resolve: Parameters<Handle>[0]['resolve']): Promise<Response> {
	const tooLarge = refuseTooLarge(event);
	if (tooLarge) return tooLarge;
	event.request.headers.set('x-client-ip', event.getClientAddress());
	const route = event.route.id;
	if (route === null) return byLibrary(event, resolve);
	const needs = routeActions[route];
	if (needs === undefined) throw new RangeError(`route ${route} is not in the table of rights`);
	if (needs === 'public') return resolve(event);
	const member = await memberOf(event);
	event.locals.member = member;
	if (!member) return notSignedIn(event);
	if (needs !== 'any-member' && !can(member, needs)) return notAllowed(event, member);
	return inStyleOf(member.program, () => resolve(event));
}

/**
 * What no route of ours takes, the sign-in library may; of its own addresses only signing in is open, through the
 * gate. Passwords are chosen on our page alone, which refuses weak ones and leaves a line.
 */
async function byLibrary(event: RequestEvent, resolve: Parameters<Handle>[0]['resolve']): Promise<Response> {
	const ask = () => svelteKitHandler({ event, resolve, auth: auth(), building });
	if (!event.url.pathname.startsWith('/api/auth')) return ask();
	if (event.url.pathname !== '/api/auth/sign-in/email')
		return json({ message: 'There is nothing at this address.' }, { status: 404 });
	const body: unknown = await event.request
		.clone()
		.json()
		.catch(() => null);
	return throughGate(body, ask);
}

const LAST_WORDS_ms = 200;
const AWAY =
	'The database does not answer just now. Nothing is lost: what is on a phone stays there. Try again in a minute.';

function waiting(headers = new Headers()): Headers {
	headers.set('retry-after', '30');
	headers.delete('content-length');
	return headers;
}

/** What every answer carries, whatever it is: nobody frames it, guesses its type, learns where one came from. */
function dressed(response: Response): Response {
	const headers: Record<string, string> = {
		'referrer-policy': 'same-origin',
		'x-content-type-options': 'nosniff',
		'x-frame-options': 'DENY',
		'permissions-policy': 'camera=(self), geolocation=(self), bluetooth=(self), microphone=(), payment=(), usb=()',
		...(settings().ORIGIN.startsWith('https:') ? { 'strict-transport-security': `max-age=${YEAR_s}` } : {})
	};
	for (const [name, value] of Object.entries(headers)) response.headers.set(name, value);
	return response;
}
const YEAR_s = 31_536_000;

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
	if (isApi(event))
		return json({ message: 'Sign in first. What is on this device stays there until then.' }, { status: 401 });
	redirect(303, `/sign-in?to=${encodeURIComponent(event.url.pathname + event.url.search)}`);
}

function notAllowed(event: RequestEvent, member: Membership): Response {
	const message = member.removedAt
		? 'You no longer belong to this program. What you wrote is kept.'
		: `This is not open to you as ${rolesOf(member).join(' and ')}.`;
	if (isApi(event)) return json({ message }, { status: 403 });
	error(403, message);
}

function refuseTooLarge(event: RequestEvent): Response | null {
	const bytes = Number(event.request.headers.get('content-length') ?? 0);
	if (bytes <= MOST_BYTES) return null;
	const message =
		`That is ${(bytes / 1e6).toFixed(1)} MB; at most ${MOST_BYTES / 1e6} MB are taken at a time. Send ` +
		'fewer entries in turn; nothing was written.';
	return json({ message }, { status: 413 });
}

export const handleError: HandleServerError = ({ error: cause, event, status, message }) => {
	if (status >= 500) log.error({ err: cause, path: event.url.pathname }, message);
	event.locals.isDatabaseAway = isDatabaseAway(cause);
	return { message: event.locals.isDatabaseAway ? AWAY : wordsFor(status, message) };
};

function wordsFor(status: number, message: string): string {
	if (status === 404) return 'There is nothing at this address.';
	return status >= 500 ? 'Something went wrong here. It has been noted; what you entered before is kept.' : message;
}
