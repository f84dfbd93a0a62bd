<script lang="ts">
	/** A large thing to tap, one hand, one thumb. Plain, so that a phone need not fetch the desk's furniture for it. */
	import type { Snippet } from 'svelte';

	interface Props {
		readonly kind?: 'primary' | 'quiet' | 'danger';
		readonly type?: 'button' | 'submit';
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { kind = 'primary', type = 'button', children, ...rest }: Props = $props();
	const DRESS = {
		primary: 'bg-accent text-accent-ink border-transparent hover:brightness-110',
		quiet: 'bg-transparent text-accent border-edge hover:bg-wash',
		danger: 'bg-transparent text-stop border-stop hover:bg-wash'
	};
</script>

<button
	{type}
	{...rest}
	class="min-h-13 min-w-32 cursor-pointer rounded-md border px-5 text-lg font-semibold disabled:cursor-default disabled:opacity-50 {DRESS[
		kind
	]}">{@render children()}</button
>
