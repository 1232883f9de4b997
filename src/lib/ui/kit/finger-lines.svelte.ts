interface Point {
	x: number;
	y: number;
}

/** Lines drawn with a finger, a pen or a mouse in a box of so many units: a signature, a sketch. */
export class FingerLines {
	#strokes = $state.raw<readonly (readonly Point[])[]>([]);
	#isDown = false;
	/** As the `d` of an SVG path. */
	readonly path = $derived(this.#strokes.map((s) => `M${s.map((p) => `${p.x} ${p.y}`).join('L')}`).join(''));

	/** `least`: points nearer than this to the last one add nothing. `mostLetters`: how long the path may grow. */
	constructor(
		private readonly box: { width: number; height: number },
		private readonly limits: { least: number; mostLetters: number }
	) {}

	get isEmpty(): boolean {
		return this.#strokes.length === 0;
	}
	get count(): number {
		return this.#strokes.length;
	}

	readonly down = (event: PointerEvent) => {
		this.#isDown = true;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		this.#strokes = [...this.#strokes, [this.#at(event)]];
	};
	readonly move = (event: PointerEvent) => {
		const stroke = this.#strokes.at(-1);
		const last = stroke?.at(-1);
		if (!this.#isDown || !stroke || !last || this.path.length > this.limits.mostLetters) return;
		const point = this.#at(event);
		if (Math.hypot(point.x - last.x, point.y - last.y) >= this.limits.least)
			this.#strokes = [...this.#strokes.slice(0, -1), [...stroke, point]];
	};
	readonly up = () => {
		this.#isDown = false;
	};
	takeBackOne() {
		this.#strokes = this.#strokes.slice(0, -1);
	}
	wipe() {
		this.#strokes = [];
	}

	#at(event: PointerEvent): Point {
		const { left, top, width, height } = (event.currentTarget as Element).getBoundingClientRect();
		const within = (part: number, whole: number, most: number) =>
			Math.round(Math.min(1, Math.max(0, part / whole)) * most);
		return {
			x: within(event.clientX - left, width, this.box.width),
			y: within(event.clientY - top, height, this.box.height)
		};
	}
}
