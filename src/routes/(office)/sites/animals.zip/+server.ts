import { can } from '$lib/server/access';
import { darwinCoreArchive } from '$lib/server/darwin-core/archive';
import { sampledEvents } from '$lib/server/darwin-core/events';
import { database } from '$lib/server/db/connect';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { todayOf } from '$lib/server/library/keep';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

const spanOf = (values: readonly number[]): readonly [number, number] =>
	values.length ? [Math.min(...values), Math.max(...values)] : [0, 0];

/** All samples of animals as a Darwin Core Archive; a viewer's holds those that were reviewed. */
export const GET: RequestHandler = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const own = await knownParameters(db, member.programId);
	const events = await sampledEvents(db, member.programId, own, !can(member, 'see-unreviewed'));
	const archive = await darwinCoreArchive(events, {
		name: member.program.name,
		day: todayOf(member, serverNow_ms()),
		latitudes: spanOf(events.map((e) => e.site.latitude)),
		longitudes: spanOf(events.map((e) => e.site.longitude))
	});
	return new Response(Buffer.from(archive), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': 'attachment; filename="animals-darwin-core.zip"'
		}
	});
};
