<script module lang="ts">
	export interface Props {
		label: string;
		isBusy: boolean;
		ontake: (picture: File) => void | Promise<void>;
	}
</script>

<script lang="ts">
	let { label, isBusy, ontake }: Props = $props();

	/** The same picture can be chosen again after it was refused. */
	async function take(input: HTMLInputElement) {
		const file = input.files?.[0];
		if (file) await ontake(file);
		input.value = '';
	}
</script>

<label class="btn preset-outlined-surface-500" aria-busy={isBusy}>
	{label}
	<input
		type="file"
		accept="image/*"
		capture="environment"
		class="visually-hidden"
		onchange={(e) => take(e.currentTarget)}
	/>
</label>

<style>
	label {
		display: inline-grid;
		place-items: center;
		min-height: 3rem;
		position: relative;
	}
	label:focus-within {
		outline: 3px solid var(--water-2);
		outline-offset: 2px;
	}
</style>
