<script lang="ts">
  import { onDestroy } from 'svelte'
  import { answer, api, type PairedDevice, type PairingCode } from '../../lib/api/client'
  import { notices } from '../../lib/parts/notice.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import { minutes } from '../../lib/words/words'
  import QRCode from '../../lib/parts/QRCode.svelte'

  /** Lets one device in: a code that goes once, to be read by its camera or typed. */
  interface Props {
    known: PairedDevice[]
    fingerprint: string
    /** Until when a code goes by the program; undefined where none does. */
    until: string | undefined
    /** How many devices are not heard any more, because they typed it wrong. */
    unheard: number
    /** When the program said so. */
    asked: number
  }
  let { known, fingerprint, until, unheard, asked }: Props = $props()
  let code = $state.raw<PairingCode>()
  /** Devices that were there when the code was made. */
  let before = $state.raw<string[]>([])
  let chosen = $state('')
  let now = $state(Date.now())
  const left = $derived(code ? (Date.parse(code.until) - now) / 1000 : 0)
  let made = $state(0)
  /**
   * The program does not know this code any more: it was used, made anew in another tab, or taken back, or the program
   * was started again.
   */
  const dead = $derived(code !== undefined && asked > made && until !== code.until)
  const come = $derived(code && known.find(({ id }) => !before.includes(id)))
  const way = $derived(code?.addresses.find(({ address }) => address === chosen) ?? code?.addresses[0])
  const timer = setInterval(() => (now = Date.now()), 1000)
  onDestroy(() => clearInterval(timer))

  $effect(() => {
    if (!come) return
    notices.done(`${come.name} is paired.`)
    code = undefined
  })

  async function open() {
    try {
      before = known.map(({ id }) => id)
      code = await answer(api.POST('/api/pairing'))
      now = made = Date.now()
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function close() {
    code = undefined
    await answer(api.DELETE('/api/pairing')).catch((error: unknown) => notices.wrong(error))
  }
</script>

{#if !code}
  <p class="mt-2">Devices in the same network are let in once you have paired them.</p>
  <button class="btn btn-primary mt-3" onclick={open}>Pair a device</button>
{:else if left <= 0}
  <p class="mt-2" role="status">The code has expired.</p>
  <button class="btn btn-primary mt-3" onclick={open}>Make a new one</button>
{:else if dead}
  <p class="mt-2" role="status">
    This code is not valid any more: it was used, or a new one was made somewhere else.
  </p>
  <button class="btn btn-primary mt-3" onclick={open}>Make a new one</button>
{:else}
  <div class="pairing mt-3">
    {#if way}<QRCode rows={way.qr} label="QR code that opens {way.address} and pairs" />{/if}
    <div class="grid content-start gap-2">
      <p>Have the phone’s camera look at this. Or open on it</p>
      <p class="font-semibold break-all">{way?.address ?? 'the address of this machine'}</p>
      <p>and type</p>
      <p class="code drum-digits">{code.code}</p>
      {#if unheard}<p class="text-error" role="status">
          A device typed it wrong ten times and is not heard any more. <button class="link" onclick={open}
            >Make a new one</button
          >
        </p>{/if}
      <p class="hint text-sm" role="timer">It goes once, for {minutes(left)} more.</p>
      {#if code.addresses.length > 1}
        <SelectField
          label="The phone does not get there? Another address of this machine"
          value={way?.address ?? ''}
          options={code.addresses.map(({ address }) => address)}
          onchange={(address) => (chosen = address)}
        />
      {/if}
      <button class="btn" onclick={close}>Leave it</button>
    </div>
  </div>
{/if}
{#if fingerprint}
  <details class="mt-3">
    <summary class="cursor-pointer">The certificate that a phone is told to trust</summary>
    <p class="mt-1 text-sm">
      <a class="link" href="#/trust">How a phone trusts it</a>. Its fingerprint (SHA-256):
    </p>
    <p class="drum-digits mt-1 max-w-md text-lg break-words">{fingerprint}</p>
  </details>
{/if}

<style>
  .pairing {
    display: grid;
    grid-template-columns: minmax(10rem, 16rem) minmax(0, 1fr);
    gap: 1.25rem;
  }
  .code {
    font-size: 2.2rem;
    letter-spacing: 0.06em;
  }
  @media (max-width: 600px) {
    .pairing {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
