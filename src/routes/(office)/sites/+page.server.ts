import { codesWith, parameterOf } from '$lib/core/quantity';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { siteLine } from '$lib/core/interpret';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { latestFigures, sitePositions, streamNetwork } from '$lib/server/db/queries/catchment';
import { thresholdsOf } from '$lib/server/db/queries/thresholds';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const [network, thresholds] = await Promise.all([
		streamNetwork(db, member.programId),
		thresholdsOf(db, member.programId)
	]);
	const ids = network.sites.map((s) => s.id);
	const latest = await latestFigures(db, member.programId, ids, !can(member, 'see-unreviewed'));
	const own = await knownParameters(db, member.programId);
	const streamName = new Map(network.streams.map((s) => [s.id, s.name]));
	return {
		map: can(member, 'see-visit')
			? { streams: network.streams, sites: await sitePositions(db, member.programId) }
			: null,
		parameters: codesWith(own).map((code) => ({ code, name: parameterOf(code, own).name })),
		mayChooseAll: can(member, 'see-unreviewed'),
		sites: network.sites.map((s) => ({
			...s,
			stream: streamName.get(s.streamId) ?? '',
			line: siteLine(latest.get(s.id) ?? {}, thresholds, member.program.units)
		}))
	};
};
