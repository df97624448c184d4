/** Between two frames, so that asking costs none of them; not every browser tells when that is. */
export const idle = (most: number) =>
  new Promise<void>((resolve) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => resolve(), { timeout: most })
    else setTimeout(resolve)
  })
