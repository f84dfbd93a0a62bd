<script lang="ts">
	/** What somebody may do here, changed by the owner. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';
	import { sending } from '../sending.ts';
	import LicenceFields from './LicenceFields.svelte';
	import RoleTicks from './RoleTicks.svelte';

	interface Props {
		readonly formId: string;
		readonly member: {
			readonly id: string;
			readonly name: string;
			readonly roles: readonly string[];
			readonly licenceNo: string | null;
			readonly licensedUntil: string | null;
			readonly endedAt: string | null;
		};
		readonly today: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
		readonly done: () => void;
	}
	let { formId, member, today, wrong, say, done }: Props = $props();
</script>

<form
	method="POST"
	action="?/member"
	class="flex flex-wrap items-end gap-3 py-2"
	use:enhance={sending(say, done)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<input type="hidden" name="memberId" value={member.id} />
	<Field of={member.id} name="name" label="Name" value={member.name} wrong={wrong('name')} width="w-56" />
	<div class="w-full"><RoleTicks has={member.roles} wrong={wrong('roles')} /></div>
	<LicenceFields
		of={member.id}
		licenceNo={member.licenceNo ?? ''}
		licensedUntil={member.licensedUntil ?? ''}
		{today}
		{wrong}
	/>
	<Tick name="ended" label="no longer of this practice" checked={member.endedAt !== null} />
	<Act>Keep</Act>
</form>
