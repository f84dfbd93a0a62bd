<script lang="ts">
	/** Whom to call, and another number in the place of one. */
	import { type Contact, CONTACT_ROLES } from '#lib/contract/note-form.ts';
	import { CONTACT_NAME } from '#lib/wording/entries.ts';
	import Act from '../Act.svelte';
	import AddForm from '../AddForm.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';

	interface Props {
		readonly formId: string;
		readonly contacts: readonly Contact[];
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, contacts, wrong, say }: Props = $props();
	const needed = $derived(['role', 'name', 'phone'].some((f) => wrong(f) !== undefined));
</script>

<dl class="flex flex-wrap gap-x-6 text-base" data-testid="contacts">
	{#each contacts as c (c.role)}<div>
			<dt class="label inline">{CONTACT_NAME[c.role]}</dt>
			<dd class="inline">{c.name}, <a href="tel:{c.phone.replace(/[^+\d]/g, '')}">{c.phone}</a></dd>
		</div>{/each}
</dl>
<Fold title={contacts.length === 0 ? 'Whom to call' : 'Another number'} {needed} class="text-accent">
	<AddForm action="?/contact" id={formId} {say} keep="contact" class="flex flex-wrap items-end gap-3 pb-2">
		<Choice
			name="role"
			label="Whose"
			value="emergency"
			items={CONTACT_ROLES.map((r) => ({ value: r, name: CONTACT_NAME[r] }))}
		/>
		<Field of="contact" name="name" label="Name" wrong={wrong('name')} width="w-48" />
		<Field of="contact" name="phone" label="Number" inputmode="tel" wrong={wrong('phone')} width="w-48" />
		<Act kind="quiet">Keep the number</Act>
	</AddForm>
</Fold>
