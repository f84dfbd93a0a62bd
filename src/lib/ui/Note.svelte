<script lang="ts">
	/** Something to know before going on, in the library's alert: a stop, a caution, or a plain word. */
	import Alert from 'flowbite-svelte/Alert.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		readonly kind?: 'stop' | 'caution' | 'plain';
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { kind = 'caution', children, class: more = '', ...rest }: Props = $props();
	const DRESS = {
		stop: 'border-stop text-stop',
		caution: 'border-caution text-caution',
		plain: 'border-edge text-ink'
	};
</script>

<Alert
	role={undefined}
	rounded={false}
	params={{ duration: 0 }}
	{...rest}
	class="block gap-0 border-l-4 bg-sheet px-3 py-1.5 text-base dark:bg-sheet {DRESS[kind]} {more}"
	>{@render children()}</Alert
>
