<script lang="ts">
	/** Backups that were made and read back whole; what to do on the day one is needed. */
	import Note from '#lib/ui/Note.svelte';
	import Rows from '#lib/ui/Rows.svelte';

	let { data } = $props();
	const at = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)}`;
</script>

<svelte:head><title>Backups · Bolster</title></svelte:head>
<h2>Backups</h2>
{#if data.folder === null}
	<p class="mt-2">
		This database is backed up by whoever runs it (a demo is not). A practice started with
		<code>npm start</code> is backed up daily by itself.
	</p>
{:else}
	{#if data.warning}<Note kind="stop" class="mt-2" data-testid="backup-warning">{data.warning}</Note>{/if}
	<p class="label mt-2">
		Made daily in <code>{data.folder}</code>, and believed only once it was read back whole. Keep a copy on
		another machine. <code>npm run restore FILE</code> puts one in place; what stands is kept beside it.
	</p>
	{#if data.backups.length > 0}
		<Rows heads={['made (UTC)', 'file', 'rows', 'size']} aria-label="Backups">
			{#each data.backups as b (b.name)}
				<tr data-testid="backup"
					><td class="whitespace-nowrap">{at(b.madeAt)}</td><td>{b.name}</td><td>{b.rows}</td><td
						class="whitespace-nowrap">{(b.bytes / 1e6).toFixed(1)} MB</td
					></tr
				>
			{/each}
		</Rows>{/if}
{/if}
