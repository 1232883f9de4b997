import type { Script } from './script';

/** Gear that came out wet, and the time of leaving. */
export function leaving({ plan, first, write, at }: Script): void {
	if (plan.leavesGearWet) {
		write(first, 57, 'gear/nets/what', 'nets and boots, kit 1');
		write(first, 57, 'gear/nets/wetAt', at(57));
	}
	write(first, 58, 'leaving/checked', true);
	write(first, 59, 'leaving/at', at(59));
}
