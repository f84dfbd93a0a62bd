<script lang="ts">
	/** What was signed last for this client, and taking it back. */
	import { enhance } from '$app/forms';
	import { shortDay } from '#lib/wording/days.ts';
	import type { sending } from '../sending.ts';

	interface Props {
		readonly undoable: {
			readonly id: string;
			readonly text: string;
			readonly by: string;
			readonly day: string;
			readonly title: string;
		};
		readonly ids: readonly string[];
		readonly settled: ReturnType<typeof sending>;
	}
	let { undoable, ids, settled }: Props = $props();
</script>

<form
	method="POST"
	action="?/undo"
	class="mt-3 flex flex-wrap items-center gap-3 text-sm"
	use:enhance={settled}
>
	<input type="hidden" name="id" value={ids[0]} />
	<input type="hidden" name="prescriptionId" value={ids[1]} />
	<input type="hidden" name="decisionId" value={undoable.id} />
	<span class="label"
		>Last signed for this client, {shortDay(undoable.day)} by {undoable.by}: {undoable.title}. {undoable.text}</span
	>
	<span data-undo><button class="cursor-pointer text-accent underline">Undo this one</button></span>
</form>
