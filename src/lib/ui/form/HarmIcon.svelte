<script lang="ts">
	import { ExclamationCircleSolid } from 'flowbite-svelte-icons';
</script>

<!-- The shape that stands before every problem, so that it is told without its colour. -->
<ExclamationCircleSolid width="1em" height="1em" class="icon mr-1" />
