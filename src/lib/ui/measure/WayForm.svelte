<script lang="ts">
	/** Technique, bracing and pain policy of a client: a licensed user's choice. */
	import { enhance } from '$app/forms';
	import { BRACE } from '#lib/catalogue/brace.ts';
	import { POLICY_IDS } from '#lib/catalogue/policies.ts';
	import { type Brace, BRACES } from '#lib/core/exercise/family.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import { POLICY_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly id: string;
		readonly setting: { readonly technique: string | null; readonly brace: Brace; readonly policyId: string };
		readonly licensed: boolean;
		readonly at: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { id, setting, licensed, at, say }: Props = $props();
	let technique = $derived(setting.technique ?? '');
	let policyId = $derived<string>(setting.policyId);
</script>

<form method="POST" action="?/way" class="mt-2 grid gap-3" use:enhance={sending(say)} use:keepForm={'way'}>
	<input type="hidden" name="id" value={id} />
	<Choice
		name="technique"
		label="Technique taught"
		bind:value={technique}
		disabled={!licensed}
		items={[
			{ value: '', name: 'none: the ordinary rise' },
			...TECHNIQUES.map((t) => ({ value: t, name: TECHNIQUE_NAME[t] }))
		]}
	/>
	<Choice
		name="brace"
		label="Bracing"
		value={setting.brace}
		disabled={!licensed}
		items={BRACES.map((b) => ({ value: b, name: BRACE[b].title }))}
	/>
	<Choice
		name="policyId"
		label="Pain policy"
		bind:value={policyId}
		disabled={!licensed}
		items={POLICY_IDS.map((p) => ({ value: p, name: POLICY_NAME[p] ?? p }))}
	/>
	{#if at('policyId')}<p class="text-sm text-stop">{at('policyId')}</p>{/if}
	{#if licensed}<div><Act kind="quiet">Save way of working</Act></div>{:else}<p class="label">
			Technique, bracing and policy are a licensed user’s choice.
		</p>{/if}
</form>
