<script lang="ts" generics="T extends string">
	/** A box to tick, with its words: by itself, or one of several that together make a list. Under a thumb it is larger. */
	interface Props {
		readonly name?: string | undefined;
		readonly label: string;
		readonly value?: T;
		checked?: boolean | undefined;
		/** What is ticked of several, this one by its value. */
		among?: T[] | undefined;
		readonly touch?: boolean;
		readonly class?: string;
		readonly [key: string]: unknown;
	}
	let {
		label,
		value = 'on' as T,
		checked = $bindable(),
		among = $bindable(),
		touch = false,
		class: place = '',
		...rest
	}: Props = $props();

	const ticked = (): boolean | undefined => (among === undefined ? checked : among.includes(value));
	function tick(on: boolean | undefined): void {
		if (among === undefined) checked = on;
		else among = [...among.filter((x) => x !== value), ...(on === true ? [value] : [])];
	}
</script>

<label class="flex cursor-pointer items-center gap-2 {touch ? 'min-h-12' : 'min-h-8'} {place}"
	><input
		type="checkbox"
		{value}
		bind:checked={ticked, tick}
		{...rest}
		class="shrink-0 accent-(--accent) {touch ? 'size-6' : 'size-4.5'}"
	/><span>{label}</span></label
>
