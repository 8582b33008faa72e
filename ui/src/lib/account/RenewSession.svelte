<script lang="ts">
  import { Dialog } from 'bits-ui';
  import SignInForm from './SignInForm.svelte';
  import { session } from './session.svelte';
</script>

<Dialog.Root open={session.expired}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ground/80" />
    <Dialog.Content
      class="fixed top-1/4 left-1/2 z-50 w-80 -translate-x-1/2 rounded-[3px] border border-line bg-raised p-6"
      interactOutsideBehavior="ignore"
      escapeKeydownBehavior="ignore"
    >
      <Dialog.Title class="font-display text-xl leading-7 text-heading">Sign in again</Dialog.Title>
      <Dialog.Description class="mt-1 mb-4 text-muted">
        Your session ended. What you did last is kept and will be sent once you are back.
      </Dialog.Description>
      <SignInForm />
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
