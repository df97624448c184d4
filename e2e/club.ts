import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** When the clocks of program and page begin, unless a test or HODOMETER_NOW chooses another hour. */
export const usual = process.env.HODOMETER_NOW ?? '2026-03-10T15:30:00'

/** Club is a running Hodometer with a file of its own. */
export interface Club {
  url: string
  /** Where other devices reach it; empty where they do not. */
  network: string
  /** The file that everything is kept in. */
  file: string
  readonly pid: number
  /** stop ends the program and leaves its file; start begins again with it, at the same address. */
  stop: () => Promise<void>
  /** kill ends it as a power cut would. */
  kill: () => Promise<void>
  start: () => Promise<void>
  /** Ends the program and, unless told otherwise, removes its file. */
  close: (remove?: boolean) => Promise<void>
}

/** open starts the program and waits for the address it prints. */
export async function open(
  command: 'serve' | 'demo',
  now = usual,
  folder = mkdtempSync(join(tmpdir(), 'hodometer-')),
  more: string[] = [],
  lan = false,
): Promise<Club> {
  const file = join(folder, 'club.db')
  let address = '127.0.0.1:0'
  let network = '127.0.0.1:0'
  let program: ChildProcess
  let ended: Promise<void>
  const kill = () => program.kill()
  process.once('exit', kill) // no orphan where a script fails

  const start = async () => {
    const forOthers = lan ? ['--lan', '--lan-addr', network] : []
    const args = [command, '--addr', address, '--data', file, '--now', now, ...forOthers, ...more]
    program = spawn('bin/hodometer', args, { stdio: ['ignore', 'pipe', 'inherit'] })
    ended = new Promise<void>((resolve) => program.once('exit', () => resolve()))
    address = await new Promise<string>((resolve, reject) => {
      program.once('error', reject)
      program.once('exit', (code) => reject(new Error(`hodometer ended with ${code} before it was ready`)))
      let said = ''
      program.stdout?.on('data', (chunk: Buffer) => {
        said += chunk.toString()
        if (!said.includes('Everything is kept')) return
        network = /https:\/\/(\S+)/.exec(said)?.[1] ?? ''
        resolve(/http:\/\/(\S+)/.exec(said)?.[1] ?? '')
      })
    })
  }
  const stop = async () => {
    kill()
    await ended
  }
  const cut = async () => {
    program.kill('SIGKILL')
    await ended
  }
  await start()
  return {
    url: `http://${address}`,
    network: network && `https://${network}`,
    file,
    get pid() {
      return program.pid ?? 0
    },
    start,
    stop,
    kill: cut,
    close: async (remove = true) => {
      await stop()
      process.off('exit', kill)
      if (remove) rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** How Debian's Chromium is started here: the one without a window, which takes less of the machine, or the whole. */
export const chromium = {
  executablePath: ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync) ?? 'chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
