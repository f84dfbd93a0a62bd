<script lang="ts">
	/** Letters that left, or would have: one-time addresses are for whom they were sent to, and are cut here. */
	import Note from '#lib/ui/Note.svelte';

	let { data } = $props();
	const at = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)}`;
</script>

<svelte:head><title>Mail · Bolster</title></svelte:head>
<h2>Mail</h2>
{#if !data.leaves}<Note kind="caution" class="mt-2"
		>No mail server is set: nothing leaves, and each letter is kept here as it would have been sent. <code
			>SMTP_URL</code
		> sets one (docs/running.md).</Note
	>{/if}
{#each data.letters as l, i (i)}
	<article class="rule mt-3 pt-2" data-testid="letter">
		<p>
			<strong>{l.subject}</strong>
			<span class="label">{l.by === 'text' ? 'text ' : ''}to {l.to} · {at(l.at)} UTC ·</span>
			<span class={l.sent ? 'text-go' : 'text-caution'}>{l.sent ? 'sent' : `not sent: ${l.error ?? ''}`}</span
			>
		</p>
		<p class="text-sm whitespace-pre-line text-quiet">{l.text}</p>
	</article>
{:else}<p class="rule mt-3 pt-2">Nothing was sent yet.</p>{/each}
