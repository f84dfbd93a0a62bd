<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';

	let { form } = $props();
	let code = $state('');
</script>

<svelte:head><title>Second factor · Bolster</title></svelte:head>
<main class="mx-auto max-w-sm px-5 pt-[14vh]">
	<h1 class="text-3xl">Bolster</h1>
	<p class="mb-6 text-quiet">Your password was right. Now the six digits your phone shows.</p>
	<form
		method="POST"
		class="grid gap-4"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<Field
			name="code"
			label="Code of the moment, or one of those you kept"
			inputmode="text"
			autocomplete="one-time-code"
			bind:value={code}
			width="w-56"
		/>
		<Said refused={form?.message} />
		<div class="flex items-center gap-5"><Act>Sign in</Act><a href="/sign-in">Begin again</a></div>
	</form>
</main>
