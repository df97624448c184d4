<script lang="ts">
  import { answer, api, describe, Refusal } from '../../lib/api/client'
  import { door } from '../../lib/page/door.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import PassphraseField from '../../lib/fields/PassphraseField.svelte'

  /** Sets the passphrase, changes it, or takes it away. */
  interface Props {
    set: boolean
    /** Other devices are let in: then there has to be one. */
    needed: boolean
  }
  let { set, needed }: Props = $props()
  let old = $state('')
  let next = $state('')
  let devices = $state(false)
  let errors = $state<Record<string, string>>({})
  let wrong = $state('')
  let trying = $state(false)

  async function keep(to: string) {
    trying = true
    wrong = ''
    errors = {}
    try {
      await door.act(answer(api.PUT('/api/passphrase', { body: { old, new: to, devices } })))
      notices.done(
        to
          ? 'The passphrase is set. All other sessions at this machine have ended.'
          : 'There is no passphrase any more.',
      )
      old = next = ''
      devices = false
    } catch (error) {
      errors = error instanceof Refusal ? error.fields : {}
      if (!Object.keys(errors).length) wrong = describe(error)
    } finally {
      trying = false
    }
  }
</script>

<form class="mt-3 grid max-w-md gap-3" onsubmit={(event) => (event.preventDefault(), void keep(next))}>
  {#if set}<PassphraseField
      label="The passphrase that goes now"
      bind:value={old}
      which="current"
      error={errors.old}
    />{/if}
  <PassphraseField
    label={set ? 'The new one' : 'A passphrase'}
    bind:value={next}
    which="new"
    error={errors.new}
    hint="At least 12 characters, any that you like. A few words that do not belong together are good."
  />
  {#if set}<label class="flex items-center gap-2">
      <input type="checkbox" class="checkbox" bind:checked={devices} /> All devices have to be paired again
    </label>{/if}
  <div class="flex flex-wrap gap-2">
    <button class="btn btn-primary" disabled={trying || !next}>{set ? 'Set the new one' : 'Set it'}</button>
    {#if set && !needed}<button class="btn" type="button" disabled={trying} onclick={() => void keep('')}
        >Take it away</button
      >{/if}
  </div>
  {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
</form>
