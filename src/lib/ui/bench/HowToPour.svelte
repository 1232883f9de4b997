<script lang="ts">
	const steps = [
		'Medium thawed, each sample shaken 25 times before it is poured.',
		'Pour, swirl, set level. Write its name on each rim, and the time of now.',
		'Warm, dark and still. Hands washed; nobody eats at this table.'
	];
</script>

<ol class="small">
	{#each steps as step (step)}<li>{step}</li>{/each}
</ol>

<style>
	ol {
		list-style: decimal;
		padding-left: 1.25rem;
	}
</style>
