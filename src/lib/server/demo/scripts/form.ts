import type { Script } from './script';

/** How the stream looked, as far as the model knows. */
export function form({ plan, second, write, isHigh }: Script): void {
	const { tube_cm } = plan.truth;
	const said = {
		flow: isHigh ? 'high' : 'usual',
		colour: colourAt(tube_cm),
		surface: isHigh ? 'waves' : 'rippled',
		foam: 'none',
		litter: plan.site.code === 'QU1' ? 'little' : 'none'
	};
	for (const [question, choice] of Object.entries(said)) write(second, 4, `conditions/${question}`, choice);
}

function colourAt(tube_cm: number): string {
	if (tube_cm > 90) return 'clear';
	return tube_cm > 45 ? 'tea' : 'muddy';
}
