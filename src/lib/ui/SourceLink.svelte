<script lang="ts">
	/** A source by name and year, linked to where it is described. */
	import { sourceName } from '#lib/wording/sources.ts';

	interface Props {
		readonly source: string;
	}
	let { source }: Props = $props();
</script>

<a href="/sources#{source}">{sourceName(source)}</a>
