<script lang="ts">
	/** A box to tick, with its words. */
	interface Props {
		readonly name: string;
		readonly label: string;
		readonly value?: string;
		checked?: boolean | undefined;
		readonly [key: string]: unknown;
	}
	let { name, label, value = 'on', checked = $bindable(), ...rest }: Props = $props();
</script>

<label class="flex min-h-8 cursor-pointer items-center gap-2"
	><input
		type="checkbox"
		{name}
		{value}
		bind:checked
		{...rest}
		class="size-4.5 shrink-0 accent-(--accent)"
	/><span>{label}</span></label
>
