import { afterEach, expect, it, vi } from 'vitest'
import { inTab, onDevice } from './kept'

afterEach(() => vi.unstubAllGlobals())

const storage = () => {
  const all = new Map<string, string>()
  return {
    getItem: (key: string) => all.get(key) ?? null,
    setItem: (key: string, text: string) => void all.set(key, text),
    removeItem: (key: string) => void all.delete(key),
  }
}

it('keeps things on the device, or in the tab', () => {
  vi.stubGlobal('localStorage', storage())
  vi.stubGlobal('sessionStorage', storage())
  onDevice.set('a', '1')
  inTab.write('a', { b: 2 })
  expect(localStorage.getItem('a')).toBe('1')
  expect(onDevice.get('a')).toBe('1')
  expect(inTab.read('a', {})).toEqual({ b: 2 })
  inTab.remove('a')
  expect(inTab.read('a', 'nothing')).toBe('nothing')
  sessionStorage.setItem('a', 'no JSON')
  expect(inTab.read('a', 'nothing')).toBe('nothing')
})

it.each([
  ['blocked', { get: () => { throw new DOMException('no', 'SecurityError') } }], // prettier-ignore
  ['full', { value: { ...storage(), setItem: () => { throw new DOMException('no', 'QuotaExceededError') } } }], // prettier-ignore
])('goes on with what the page knows where storage is %s', (_, as) => {
  vi.stubGlobal('localStorage', undefined)
  Object.defineProperty(globalThis, 'localStorage', { ...as, configurable: true })
  onDevice.set('x', 'on')
  expect(onDevice.get('x')).toBe('on')
  onDevice.remove('x')
  expect(onDevice.get('x')).toBeNull()
})
