<script lang="ts">
	/** One field of a sheet: narrow, named for screen readers, left and right keys of the grid go up and down its column. */
	interface Props {
		readonly name: string;
		readonly label: string;
		value?: string | undefined;
		readonly wrong?: boolean;
		readonly column?: string;
		readonly width?: string;
		readonly [key: string]: unknown;
	}
	let { name, label, value = $bindable(), wrong = false, column, width = '', ...rest }: Props = $props();

	function move(event: KeyboardEvent & { currentTarget: HTMLInputElement }): void {
		if (column === undefined || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return;
		event.preventDefault();
		const cells = [
			...(event.currentTarget.form?.querySelectorAll<HTMLInputElement>(`[data-column="${column}"]`) ?? [])
		];
		const next = cells[cells.indexOf(event.currentTarget) + (event.key === 'ArrowDown' ? 1 : -1)];
		next?.focus();
		next?.select();
	}
</script>

<input
	{name}
	bind:value
	aria-label={label}
	aria-invalid={wrong ? 'true' : undefined}
	data-column={column}
	onkeydown={move}
	inputmode="decimal"
	autocomplete="off"
	{...rest}
	class="cell {width}"
/>
