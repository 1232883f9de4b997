import type { Script } from './script';

/** The bacteria bottle first, then the one for nutrients. */
export function bottle({ plan, first, write, at }: Script): void {
	const month = new Date(plan.startedAt_ms).toISOString().slice(2, 7).replace('-', '');
	write(first, 5, 'bottles/bacteria/kind', 'bacteria');
	write(first, 5, 'bottles/bacteria/label', `${plan.site.code}-${month}-B`);
	write(first, 6, 'bottles/bacteria/filledAt', at(6));
	write(first, 8, 'bottles/bacteria/onIceAt', at(8));
	write(first, 8.4, 'bottles/nutrients/kind', 'nutrients');
	write(first, 8.5, 'bottles/nutrients/rinses', 3);
	write(first, 8.5, 'bottles/nutrients/label', `${plan.site.code}-${month}-N`);
	write(first, 9, 'bottles/nutrients/filledAt', at(9));
}
