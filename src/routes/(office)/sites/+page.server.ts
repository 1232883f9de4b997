import { siteLine } from '$lib/core/interpret';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { latestFigures, streamNetwork, thresholdsOf } from '$lib/server/db/queries/catchment';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const [network, latest, thresholds] = await Promise.all([
		streamNetwork(database(), member.programId),
		latestFigures(database(), member.programId, !can(member, 'see-unreviewed')),
		thresholdsOf(database(), member.programId)
	]);
	const streamName = new Map(network.streams.map((s) => [s.id, s.name]));
	return { sites: network.sites.map((s) => ({ ...s, stream: streamName.get(s.streamId) ?? '', line: siteLine(latest.get(s.id) ?? {}, thresholds) })) };
};
