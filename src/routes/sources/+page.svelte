<script lang="ts">
	let { data } = $props();
</script>

<svelte:head><title>Sources · Bolster</title></svelte:head>
<main class="page max-w-4xl">
	<h1>Sources</h1>
	<p class="my-2 text-quiet">Where rules and numbers come from. Literature is from memory and not checked against the papers; practice settings are yours to change. Local protocol and the treating clinician come first.</p>
	<table class="plain">
		<thead><tr><th>key</th><th>what</th><th>memory grade</th></tr></thead>
		<tbody>{#each data.rows as r (r.key)}<tr id={r.key} class="target:bg-wash"><td class="font-mono whitespace-nowrap">{r.key}</td><td>{r.what}</td><td>{r.grade}</td></tr>{/each}</tbody>
	</table>
</main>
