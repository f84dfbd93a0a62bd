<script lang="ts">
	/** Looking at a link changes nothing: its holder opens it on a device of theirs. */
	import { mineHere } from '#lib/ui/mine/context.ts';
	import Tap from '#lib/ui/mine/Tap.svelte';

	let { form } = $props();
	const { say } = mineHere();
</script>

<h1>{say('title')}</h1>
<p class="my-3">{say('openWhat')}</p>
{#if form}<p class="my-3 border-l-4 border-stop pl-3 text-stop" role="alert">
		{form.why === 'none' ? say('openNone') : say('openMany')}
	</p>{/if}
<form method="POST"><Tap type="submit">{say('openIt')}</Tap></form>
