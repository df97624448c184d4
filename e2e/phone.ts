import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium as engine, expect, type BrowserContext, type Page } from '@playwright/test'
import { chromium } from './club'

/** A phone: a browser with a folder of its own, which stays when the browser is closed. */
export class Phone {
  readonly #folder = mkdtempSync(join(tmpdir(), 'hodometer-phone-'))
  #context: BrowserContext | undefined

  /**
   * Opens its browser at a time, closing it first where it is open. That a certificate is trusted is tested with the
   * program itself.
   */
  async open(now: string): Promise<Page> {
    await this.#context?.close()
    this.#context = await engine.launchPersistentContext(this.#folder, {
      ...chromium,
      args: [...chromium.args, '--ignore-certificate-errors'],
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'allow',
      hasTouch: true,
      isMobile: true,
    })
    await this.#context.clock.install({ time: new Date(now) })
    return this.#context.pages()[0] ?? (await this.#context.newPage())
  }

  /** Closes it for good. */
  async end() {
    await this.#context?.close()
    rmSync(this.#folder, { recursive: true, force: true })
  }
}

/** appKept waits until a page has the app with it, so that it opens without the network. */
export async function appKept(page: Page) {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await expect
    .poll(() => page.evaluate(async () => (await caches.keys()).some((name) => name.includes('precache'))))
    .toBe(true)
}
