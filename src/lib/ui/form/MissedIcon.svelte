<script lang="ts">
	import { CloseOutline } from 'flowbite-svelte-icons';
</script>

<!-- What fails, or is wrong. -->
<CloseOutline width="1em" height="1em" strokeWidth="3" class="icon" />
