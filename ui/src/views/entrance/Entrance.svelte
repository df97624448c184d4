<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push, router } from 'svelte-spa-router'
  import { answer, api, describe, Refusal, type DoorState } from '../../lib/api/client'
  import { door } from '../../lib/page/door.svelte'
  import PassphraseField from '../../lib/fields/PassphraseField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  /**
   * What stands before the page until the coach, or this device, is let in. What was typed on the page stays behind it.
   */
  interface Props {
    needs: 'passphrase' | 'pairing'
  }
  let { needs }: Props = $props()
  const client = useQueryClient()
  const scanned = /^\/pair\/(.+)$/.exec(router.location)?.[1] ?? ''
  let passphrase = $state('')
  let code = $state(scanned)
  let name = $state('My phone')
  let errors = $state<Record<string, string>>({})
  let wrong = $state('')
  let trying = $state(false)

  async function come(coming: Promise<DoorState>) {
    trying = true
    wrong = ''
    errors = {}
    try {
      await door.act(coming)
      await client.invalidateQueries()
      if (router.location.startsWith('/pair/')) await push('/')
    } catch (error) {
      errors = error instanceof Refusal ? error.fields : {}
      if (!Object.keys(errors).length) wrong = describe(error)
    } finally {
      trying = false
    }
  }

  function submit(event: SubmitEvent) {
    event.preventDefault()
    void come(
      needs === 'passphrase'
        ? answer(api.POST('/api/entry', { body: { passphrase } }))
        : answer(api.POST('/api/pairing/device', { body: { code, name } })),
    )
  }
</script>

<div class="before bg-base-100" role="dialog" aria-modal="true" aria-labelledby="before">
  <form class="sheet" onsubmit={submit} {@attach (form) => form.querySelector('input')?.focus()}>
    <p class="name">Hodometer</p>
    {#if needs === 'passphrase'}
      <h1 id="before">Who is there?</h1>
      <PassphraseField
        label="Your passphrase"
        bind:value={passphrase}
        which="current"
        error={errors.passphrase}
      />
      <button class="btn btn-primary" disabled={trying}>Come in</button>
      <details>
        <summary class="cursor-pointer text-sm">Forgotten?</summary>
        <p class="mt-1 text-sm">
          Whoever has this machine’s files can set another one: stop Hodometer, and run <code
            class="whitespace-nowrap">hodometer passphrase</code
          > in a terminal. Nothing of your data is lost.
        </p>
      </details>
    {:else}
      <h1 id="before">Pair this device</h1>
      <p>
        On your own machine open <strong>Settings</strong>, then <strong>Devices</strong>, and press
        <strong>Pair a device</strong>. It shows a code that goes for five minutes.
      </p>
      <TextField
        label="The code"
        value={code}
        error={errors.code}
        onchange={(typed) => (code = typed.toUpperCase())}
      />
      <TextField
        label="What this device is called"
        value={name}
        error={errors.name}
        onchange={(typed) => (name = typed)}
      />
      <button class="btn btn-primary" disabled={trying}>Pair</button>
      <p class="text-sm">
        Does the browser warn about this page? <a class="link" href="#/trust"
          >Have it trust your own machine</a
        > first, or lessons cannot be run without the network.
      </p>
    {/if}
    {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
  </form>
</div>

<style>
  .before {
    position: fixed;
    inset: 0;
    z-index: 40;
    display: grid;
    place-items: center;
    overflow-y: auto;
    padding: 1rem;
  }
  form {
    display: grid;
    gap: 0.9rem;
    width: min(26rem, 100%);
  }
  .btn-primary {
    min-height: 3rem;
  }
  .name {
    font-family: var(--font-drum);
    font-weight: 600;
    font-size: 1.3rem;
  }
</style>
