import type { Attachment } from 'svelte/attachments';

/** The value of one of our colours where the drawing stands: `--water`. */
export type Colour = (name: string) => string;

interface Drawn {
	/** What is drawn; read anew whenever it, the size, or the mode of colours changes. */
	option: (colour: Colour) => object;
	ondrawn?: () => void;
	/** A mark with data of its own was chosen. */
	onmark?: (data: unknown) => void;
}

/** Keeps a drawing of the chart library in an element; the library is fetched only where something is drawn. */
export const drawnChart =
	({ option, ondrawn, onmark }: Drawn): Attachment<HTMLElement> =>
	(element) => {
		let end = () => {};
		void import('./echarts').then(({ echarts }) => {
			if (!element.isConnected) return;
			const drawn = echarts.init(element, null, { renderer: 'svg' });
			const colour: Colour = (name) => getComputedStyle(element).getPropertyValue(name).trim();
			const draw = () => drawn.setOption(option(colour) as Parameters<typeof drawn.setOption>[0], true);
			const stop = $effect.root(() => {
				$effect(draw); // the chart library draws outside Svelte
			});
			if (onmark) drawn.on('click', ({ data }) => onmark(data));
			const sized = new ResizeObserver(() => drawn.resize());
			sized.observe(element);
			const recoloured = new MutationObserver(draw);
			recoloured.observe(document.documentElement, { attributes: true, attributeFilter: ['data-mode'] });
			ondrawn?.();
			end = () => {
				stop();
				sized.disconnect();
				recoloured.disconnect();
				drawn.dispose();
			};
		});
		return () => end();
	};
