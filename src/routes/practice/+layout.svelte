<script lang="ts">
	import { page } from '$app/state';
	import Note from '#lib/ui/Note.svelte';

	let { data, children } = $props();
	const pages = $derived([
		...(data.owner ? [['people', 'People'] as const] : []),
		['rooms', 'Rooms'] as const,
		...(data.owner || data.licensed ? [['records', 'Records'] as const] : []),
		...(data.owner
			? [['settings', 'Settings'] as const, ['mail', 'Mail'] as const, ['backups', 'Backups'] as const]
			: [])
	]);
</script>

<main class="page max-w-5xl">
	<nav aria-label="The practice" class="no-print mb-3 flex flex-wrap gap-5">
		{#each pages as [at, name] (at)}<a
				href="/practice/{at}"
				aria-current={page.url.pathname === `/practice/${at}` ? 'page' : undefined}
				class={page.url.pathname === `/practice/${at}` ? 'font-bold text-ink no-underline' : ''}>{name}</a
			>{/each}
	</nav>
	{#if data.backupWarning && page.url.pathname !== '/practice/backups'}<Note kind="caution" class="mb-3"
			>{data.backupWarning}</Note
		>{/if}
	{@render children()}
</main>
