<script lang="ts">
	/** Inviting somebody by a link that is good once. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';
	import LicenceFields from './LicenceFields.svelte';
	import RoleTicks from './RoleTicks.svelte';

	interface Props {
		readonly formId: string;
		readonly today: string;
		readonly typed: Readonly<Record<string, string>>;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, today, typed, wrong, say }: Props = $props();
</script>

<form
	method="POST"
	action="?/invite"
	class="flex flex-wrap items-end gap-3 pb-2"
	use:enhance={sending(say)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<Field of="invite" name="name" label="Name" value={typed.name ?? ''} wrong={wrong('name')} width="w-56" />
	<Field
		of="invite"
		name="email"
		label="E-mail"
		type="email"
		value={typed.email ?? ''}
		wrong={wrong('email')}
		width="w-64"
	/>
	<div class="w-full"><RoleTicks has={[]} wrong={wrong('roles')} /></div>
	<LicenceFields
		of="invite"
		licenceNo={typed.licenceNo ?? ''}
		licensedUntil={typed.licensedUntil ?? ''}
		{today}
		{wrong}
	/>
	<Act>Invite</Act>
</form>
