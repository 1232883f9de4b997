import { go, inner, line, spread, tellFine, type Body, type Point, type Stroke } from './pen';

/** A leg that rows, to both sides: flat, with a fringe. */
export const oar = (b: Body, t: number, reach: number, back: number): Stroke[] => {
	const one = (side: 1 | -1): [string, string] => {
		const hip = b.edge(t, side, -1);
		const angle = side === 1 ? back : 180 - back;
		const knee = go(hip, angle, reach * 0.45);
		const tip = go(knee, angle + side * 25, reach * 0.55);
		const fringe = spread(0.15, 0.95, 7).map((f): string => {
			const p: Point = [knee[0] + f * (tip[0] - knee[0]), knee[1] + f * (tip[1] - knee[1])];
			return line(p, go(p, angle + side * 80, 4));
		});
		return [line(hip, knee, tip), fringe.join('')];
	};
	const [right, left] = [one(1), one(-1)];
	return [tellFine('leg-form', right[0], left[0]), inner(right[1], left[1])];
};
