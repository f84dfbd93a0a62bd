<script lang="ts">
	/** A large thing to tap, one hand, one thumb. */
	import type { Snippet } from 'svelte';
	import Act from '../Act.svelte';

	interface Props {
		readonly kind?: 'primary' | 'quiet' | 'danger';
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { kind = 'primary', children, ...rest }: Props = $props();
</script>

<Act type="button" {kind} big {...rest}><span class="block min-w-24">{@render children()}</span></Act>
