<script lang="ts"></script>

<h1>There is no such page</h1>
<p class="mt-2">Perhaps the address was cut off. <a class="link" href="#/">Go to today</a></p>
