<script module lang="ts">
	import type { Snippet } from 'svelte';

	export interface Tab {
		word: string;
		href: string;
		key: string;
	}
	export interface Props {
		tabs: Tab[];
		path: string;
		person: { name: string; role: string };
		children: Snippet;
	}
</script>

<script lang="ts">
	import { goto } from '$app/navigation';
	import KeysHelp from './KeysHelp.svelte';
	import ModeChoice from './ModeChoice.svelte';

	let { tabs, path, person, children }: Props = $props();

	let helpOpen = $state(false);
	const isOpen = (tab: Tab) => path === tab.href || path.startsWith(`${tab.href}/`);

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if ((event.target as HTMLElement).closest('input, textarea, select, [contenteditable]')) return;
		if (event.key === '?') helpOpen = true;
		if (event.key === 'f') {
			event.preventDefault(); // the letter is not typed into the field that gets the focus
			void goto('/find');
		}
		const tab = tabs.find((t) => t.key === event.key);
		if (tab) void goto(tab.href);
	}
</script>

<svelte:window {onkeydown} />

<a class="skip" href="#page">Skip to the page</a>
<nav class="tabs" aria-label="Parts of the notebook">
	<b>Keen<br />Riffle</b>
	{#each tabs as tab (tab.href)}
		<a href={tab.href} aria-current={isOpen(tab) ? 'page' : undefined} aria-keyshortcuts={tab.key}
			>{tab.word}<kbd aria-hidden="true">{tab.key}</kbd></a
		>
	{/each}
	<a href="/find" class="find" aria-current={path === '/find' ? 'page' : undefined} aria-keyshortcuts="f"
		>Find<kbd aria-hidden="true">f</kbd></a
	>
	<div class="foot">
		<ModeChoice />
		<button type="button" class="keys" onclick={() => (helpOpen = true)}>Keys <kbd aria-hidden="true">?</kbd></button>
		<form method="POST" action="/sign-out">
			<p class="small">{person.name}<br />{person.role}</p>
			<button class="keys">Sign out</button>
		</form>
	</div>
</nav>
<div class="desk" id="page">{@render children()}</div>
<KeysHelp {tabs} bind:open={helpOpen} />

<style>
	.skip {
		position: absolute;
		left: -62.4375rem;
		z-index: 30;
		background: var(--page);
		padding: 0.5rem 0.875rem;
	}
	.skip:focus {
		left: 0.5rem;
		top: 0.5rem;
	}
	.tabs {
		position: fixed;
		inset: 0 auto 0 0;
		width: 7.25rem;
		background: var(--paper-3);
		border-right: 1px solid var(--rule);
		padding: 1.125rem 0 0.625rem 0.625rem;
		display: flex;
		flex-direction: column;
		gap: 3px;
		z-index: 3;
	}
	.tabs > b {
		font: 600 1.125rem/1.05 var(--head);
		margin: 0 0 1.125rem 0.25rem;
		color: var(--water);
	}
	.tabs > a {
		display: flex;
		justify-content: space-between;
		padding: 0.5rem 0.625rem;
		border: 1px solid transparent;
		border-right: 0;
		border-radius: 0.3125rem 0 0 0.3125rem;
		color: var(--ink);
		text-decoration: none;
		font-size: 0.875rem;
	}
	.tabs > a:hover {
		text-decoration: underline;
	}
	.tabs > a[aria-current] {
		background: var(--paper);
		border-color: var(--rule);
		font-weight: 650;
		margin-right: -1px;
	}
	.tabs > a.find {
		margin-top: 0.875rem;
	}
	kbd {
		font: 0.75rem var(--text);
		color: var(--ink-2);
		background: none;
		border: 0;
		padding: 0;
	}
	.foot {
		margin-top: auto;
		padding-right: 0.625rem;
		display: grid;
		gap: 0.375rem;
	}
	.keys {
		font-size: 0.8125rem;
		text-align: left;
		text-decoration: underline;
		color: var(--ink);
		min-height: 1.5rem;
		cursor: pointer;
	}
	.foot form {
		border-top: 1px solid var(--ink-3);
		padding-top: 0.375rem;
	}
	.foot .small {
		line-height: 1.25;
		color: var(--ink);
	}
	.desk {
		margin-left: 7.25rem;
		min-height: 100vh;
		display: flex;
		flex-direction: column;
	}
	@media (max-width: 640px) {
		.tabs > a.find {
			margin-top: 0;
		}
		.tabs {
			position: static;
			width: auto;
			flex-flow: row wrap;
			padding: 0.5rem 0.625rem 0;
			border-right: 0;
			border-bottom: 1px solid var(--rule);
		}
		.tabs > b {
			margin: 0 0.75rem 0.25rem 0;
			font-size: 0.9375rem;
		}
		.tabs > a {
			min-height: 2.75rem;
			align-items: center;
			border: 1px solid transparent;
			border-bottom: 0;
			border-radius: 0.3125rem 0.3125rem 0 0;
		}
		.tabs > a[aria-current] {
			margin: 0 0 -1px;
		}
		kbd {
			display: none;
		}
		.foot {
			display: flex;
			width: 100%;
			order: 9;
			align-items: center;
			justify-content: space-between;
			margin: 0;
			padding: 0 0 0.25rem;
		}
		.foot form {
			border: 0;
			padding: 0;
			display: flex;
			gap: 0.625rem;
			align-items: center;
		}
		.foot .keys {
			min-height: 2rem;
		}
		.foot > .keys {
			display: none;
		}
		.desk {
			margin-left: 0;
		}
	}
	@media print {
		.tabs {
			display: none;
		}
		.desk {
			margin: 0;
		}
	}
</style>
