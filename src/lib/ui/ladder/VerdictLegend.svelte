<!-- What the marks on the waterline mean. -->
<p class="label mt-1">
	<span class="text-tolerated">● fits</span> · <span class="text-accent">◆ set up as written</span> ·
	<span class="text-caution">▲ closer than the error</span> · ✕ short · ? not measured · dashes: after the set-up
</p>
