<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import SignInForm from '$lib/account/SignInForm.svelte';
  import WeaveMark from '$lib/theme/WeaveMark.svelte';

  const weave = {
    warp: ['#6b4a33', '#2f4486', '#b8901f'],
    weft: ['#efe3cc', '#d8c7a6', '#6b4a33', '#37806c']
  };

  function next() {
    const to = page.url.searchParams.get('to') ?? '/library';
    void goto(to.startsWith('/') && !to.startsWith('//') ? to : '/library');
  }
</script>

<svelte:head><title>Sign in · Umber Loom</title></svelte:head>

<main class="grid min-h-screen grid-cols-[minmax(0,5fr)_minmax(22rem,4fr)]">
  <div class="relative overflow-hidden border-r border-line">
    <div class="absolute inset-0 flex"><WeaveMark {weave} size={1400} repeat={9} /></div>
  </div>
  <div class="flex flex-col justify-center px-12">
    <div class="w-72">
      <h1 class="font-display text-4xl leading-tight text-heading">Umber Loom</h1>
      <p class="mt-2 mb-8 text-sm text-muted">One style system, woven through every site.</p>
      <SignInForm onsignedin={next} />
    </div>
  </div>
</main>
