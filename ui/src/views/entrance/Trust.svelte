<script lang="ts">
  import { door } from '../../lib/page/door.svelte'
</script>

<div class="max-w-2xl">
  <h1>Have a phone trust your machine</h1>
  <p class="mt-2">
    Your machine is reached over an encrypted connection. It vouches for itself, so a phone that does not know
    it warns once. Told to trust its certificate, the phone warns no more, keeps lessons for where there is no
    network, and may be put on its start screen. The certificate goes for addresses of private networks only:
    it cannot stand in for any page of the internet.
  </p>
  <ol class="mt-3 grid list-decimal gap-2 pl-5">
    <li>
      On the phone: <a class="link" href="/api/authority.crt" download="hodometer.crt">get the certificate</a
      >.
    </li>
    <li>
      Open it. Most phones ask for their own lock first, then what it is for: say <em
        >certificate authority</em
      >
      (“CA”). Where the phone only says that it is kept, open its settings and look for
      <em>install a certificate</em>, under security; or for a <em>profile</em> that was loaded, under general.
    </li>
    <li>
      Before you say yes, compare its fingerprint (SHA-256) with the one on your machine, under Settings,
      Devices. They have to be the same, pair by pair.
    </li>
    <li>
      Some phones want one more yes: in their settings, where it says which certificates are trusted, switch
      <em>Hodometer on …</em> on.
    </li>
    <li>Close the browser, open it again, and open the address of your machine: nothing warns any more.</li>
  </ol>
  <p class="mt-3">
    Only trust it on devices that are yours, and take it out again when you give one away. Without it
    everything works as long as the network is there, behind a warning each time.
  </p>
  <p class="mt-3">
    {#if door.state?.needs === 'pairing'}<a class="link" href="#/">Pair this device</a>{:else}<a
        class="link"
        href="#/">Go to today</a
      >{/if}
  </p>
</div>
