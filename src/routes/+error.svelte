<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Bolster</title></svelte:head>
<main class="page max-w-2xl">
	<h1>
		{page.status === 404
			? 'Not here'
			: page.status === 403
				? 'Not for this sign-in'
				: page.status < 500
					? 'That did not work'
					: 'Something went wrong'}
	</h1>
	<p class="my-3">{page.error?.message}</p>
	{#if page.error?.id}<p class="label">
			If you report it, name this id: <code class="font-mono">{page.error.id}</code>
		</p>{/if}
	<p class="mt-5 flex gap-5"><a href="{page.url.pathname}?kept=1">Try again</a><a href="/">Today</a></p>
</main>
