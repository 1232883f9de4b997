import { round } from '../water-model';
import type { Script } from './script';

/** Ten verticals or so, where the stream lets itself be waded; once a depth was typed in decimetres and struck. */
export function gauging({ plan, first, second, write, isHigh, profile }: Script): void {
	if (isHigh) return;
	const path = 'gaugings/main';
	write(second, 30, `${path}/instrument`, `V-${plan.kit}`);
	write(second, 31, `${path}/edges/startDistance_m`, profile.start_m);
	for (const [i, v] of profile.verticals.entries()) {
		const place = `${path}/verticals/v${i + 1}`;
		const minute = 32 + 1.8 * i;
		write(second, minute, `${place}/distance_m`, v.distance_m);
		if (plan.incident === 'depth-in-dm' && i === 4) {
			const slip = write(second, minute + 0.3, `${place}/depth_m`, round(v.depth_m * 10, 1));
			write(first, minute + 1, `${place}/depth_m`, 'typed in dm', { op: 'strike', was: slip.id });
			write(second, minute + 1.2, `${place}/depth_m`, v.depth_m);
		} else write(second, minute + 0.3, `${place}/depth_m`, v.depth_m);
		write(second, minute + 1.2, `${place}/velocity_m_s`, v.velocity_m_s);
	}
	write(second, 56, `${path}/edges/endDistance_m`, profile.end_m);
}
