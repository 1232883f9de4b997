/** What stands in the stream and must be looked at or lifted. */
export interface Sampler {
	id: string;
	siteId: string;
	kind: 'plate-stack' | 'leaf-bag';
	out_day: number;
}

export interface SamplerTimes {
	plates_days: number;
	/** Days by which a lift may be early or late. */
	plates_give_days: number;
	leafLeast_days: number;
	leafMost_days: number;
	look_days: number;
}

export const usualSamplerTimes: SamplerTimes = {
	plates_days: 42,
	plates_give_days: 4,
	leafLeast_days: 21,
	leafMost_days: 28,
	look_days: 7
};

export interface SamplerTask {
	samplerId: string;
	siteId: string;
	what: 'look' | 'lift';
	why: 'weekly' | 'storm' | 'grown';
	earliest: number;
	latest: number;
}

/**
 * What a sampler asks for: plate stacks are lifted after six weeks; leaf bags are looked at every week and after each
 * storm, and lifted after three to four weeks. `storms` are days.
 */
export function samplerTasks(
	sampler: Sampler,
	storms: readonly number[],
	times: SamplerTimes = usualSamplerTimes
): SamplerTask[] {
	const { id: samplerId, siteId, out_day, kind } = sampler;
	const lift =
		kind === 'plate-stack'
			? [times.plates_days - times.plates_give_days, times.plates_days + times.plates_give_days]
			: [times.leafLeast_days, times.leafMost_days];
	const tasks: SamplerTask[] = [
		{ samplerId, siteId, what: 'lift', why: 'grown', earliest: out_day + lift[0]!, latest: out_day + lift[1]! }
	];
	if (kind === 'leaf-bag') {
		for (let day = out_day + times.look_days; day < out_day + times.leafLeast_days; day += times.look_days)
			tasks.push({ samplerId, siteId, what: 'look', why: 'weekly', earliest: day - 1, latest: day + 1 });
		for (const storm of storms)
			if (storm > out_day && storm < out_day + times.leafMost_days)
				tasks.push({ samplerId, siteId, what: 'look', why: 'storm', earliest: storm + 1, latest: storm + 3 });
	}
	return tasks.sort((a, b) => a.earliest - b.earliest || (a.what < b.what ? -1 : 1));
}

export interface SamplerNeed {
	task: SamplerTask;
	/** The round that is there in time; null where none is. */
	metBy: string | null;
	/** The nearest round at the site that is not in time, with the days by which it misses: negative when too early. */
	nearest: { roundId: string; off_days: number } | null;
}

/**
 * Which of the tasks still to come are met by a round that visits the site in time, done ones and planned ones alike.
 */
export function samplerNeeds(
	tasks: readonly SamplerTask[],
	rounds: readonly { id: string; day: number; siteIds: readonly string[]; state: string }[],
	today: number
): SamplerNeed[] {
	const standing = rounds.filter((r) => r.state === 'planned' || r.state === 'done');
	return tasks
		.filter((t) => t.latest >= today)
		.map((task) => {
			const there = standing.filter((r) => r.siteIds.includes(task.siteId));
			const off = (day: number) => (day < task.earliest ? day - task.earliest : Math.max(0, day - task.latest));
			const met = there.find((r) => off(r.day) === 0);
			const near = there.filter((r) => r.day >= today).sort((a, b) => Math.abs(off(a.day)) - Math.abs(off(b.day)))[0];
			return {
				task,
				metBy: met?.id ?? null,
				nearest: met || !near ? null : { roundId: near.id, off_days: off(near.day) }
			};
		});
}
