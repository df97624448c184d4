import { spawn, type ChildProcess } from 'node:child_process'
import type { Page } from '@playwright/test'
import { expect } from './fixtures'

/* Simulated devices beside the court, each a program of its own. */

const running: ChildProcess[] = []
/** Switches every device off. */
export const switchedOff = () => {
  running.splice(0).forEach((each) => each.kill('SIGKILL'))
}

/** Switches a simulated device on, and returns it with where it listens. */
export async function switchedOn(...args: string[]) {
  const device = spawn('bin/hodometer', [...args, '--addr', '127.0.0.1:0'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  running.push(device)
  const address = await new Promise<string>((resolve, reject) => {
    device.once('error', reject)
    device.stdout.on('data', (chunk: Buffer) => {
      const found = /is at (\S+)/.exec(chunk.toString())
      if (found?.[1]) resolve(found[1])
    })
  })
  return { device, address }
}

/** Opens what joins devices, under More. */
export async function opened(page: Page) {
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const more = page.getByRole('dialog', { name: /^Changes, calls/ })
  await expect(more).toBeVisible()
  if (!(await more.getByRole('group', { name: 'Ball machine' }).isVisible()))
    await more.getByText('Ball machine and eye for landings').click()
  return more
}

/** Joins a device to the lesson. */
export async function join(page: Page, label: 'Ball machine' | 'Eye for landings', address: string) {
  const more = await opened(page)
  const group = more.getByRole('group', { name: label })
  await group.getByLabel(`${label}: where it listens`).fill(address)
  await group.getByRole('button', { name: /^Join/ }).click()
  await expect(group).toContainText('joined')
  await page.keyboard.press('Escape')
  await expect(more).toBeHidden()
}
