import { round } from '../water-model';
import type { Script } from './script';

/** The tube, by eyes that differ; once two people wrote different figures. */
export function tube({ plan, first, second, read, misread }: Script): void {
	const seen_cm = plan.truth.tube_cm * (1 + (first.tubeBias ?? 0)) + misread(1.5);
	const disc = read(
		first,
		25,
		'tube-depth/tube',
		seen_cm >= 120 ? { above: 120, unit: 'cm' } : { value: round(Math.max(6, seen_cm), 0), unit: 'cm' }
	);
	if (plan.incident === 'two-values' && 'value' in (disc.value as object))
		read(second, 25.4, 'tube-depth/tube', { value: round(Math.max(6, seen_cm * 0.78), 0), unit: 'cm' });
}
