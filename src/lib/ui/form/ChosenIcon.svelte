<script lang="ts">
	import { CheckOutline } from 'flowbite-svelte-icons';
</script>

<!-- What is chosen, or right. -->
<CheckOutline width="1em" height="1em" strokeWidth="3" class="icon mr-1" />
