import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** Club is a running Hodometer with a file of its own. */
export interface Club {
  url: string
  pid: number
  /** Ends the program and, unless told otherwise, removes its file. */
  close: (remove?: boolean) => Promise<void>
}

/** open starts the program and waits for the address it prints. */
export async function open(
  command: 'serve' | 'demo',
  folder = mkdtempSync(join(tmpdir(), 'hodometer-')),
): Promise<Club> {
  const program = spawn(
    'bin/hodometer',
    [command, '--addr', '127.0.0.1:0', '--data', join(folder, 'club.db')],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  )
  const kill = () => program.kill()
  process.once('exit', kill) // no orphan where a script fails
  const ended = new Promise<void>((resolve) => program.once('exit', () => resolve()))
  const url = await new Promise<string>((resolve, reject) => {
    program.once('error', reject)
    program.once('exit', (code) => reject(new Error(`hodometer ended with ${code} before it was ready`)))
    let said = ''
    program.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString()
      const address = /http:\/\/\S+/.exec(said)
      if (address) resolve(address[0])
    })
  })
  return {
    url,
    pid: program.pid ?? 0,
    close: async (remove = true) => {
      kill()
      process.off('exit', kill)
      await ended
      if (remove) rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** How Debian's Chromium is started here. */
export const chromium = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
