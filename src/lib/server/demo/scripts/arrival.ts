import type { Script } from './script';

/** Who is here, who waits, and how the water was tried. */
export function arrival(script: Script): void {
	const { plan, first, write, at } = script;
	for (const person of plan.crew) write(first, 1, `arrival/crew/${person.initials}/initials`, person.initials);
	write(first, 1.2, 'arrival/waiting/who', 'Orla, at the depot');
	write(first, 1.4, 'arrival/waiting/backAt', at(plan.backAfter_min));
	if (plan.incident === 'ice') {
		write(first, 3, 'arrival/access', 'leave');
		write(first, 4, 'arrival/reason', 'Shelf ice on both banks, the edge breaks under the pole.');
		return;
	}
	const fromWhere = plan.site.code === 'TE4' ? 'bridge' : 'bank';
	const { verticals } = script.profile;
	const trial = verticals[Math.floor(verticals.length / 2)]!;
	write(first, 2, 'arrival/depth_m', trial.depth_m);
	write(first, 2.5, 'arrival/velocity_m_s', trial.velocity_m_s);
	write(first, 3, 'arrival/access', script.isHigh ? fromWhere : 'wade');
	if (script.isHigh) write(first, 3.5, 'arrival/reason', 'Water up and brown after the rain.');
}
