import jsQR from 'jsqr'
import * as mupdf from 'mupdf'
import type { Page } from '@playwright/test'

/** What is on a page of a PDF: its text, and its picture. */
export function pageOf(data: Buffer, number: number) {
  const document = mupdf.Document.openDocument(data, 'application/pdf')
  const page = document.loadPage(number)
  const scale = 4
  const pixels = page.toPixmap(mupdf.Matrix.scale(scale, scale), mupdf.ColorSpace.DeviceRGB, false)
  const [width, height] = [pixels.getWidth(), pixels.getHeight()]
  const rgba = new Uint8ClampedArray(4 * width * height)
  const rgb = pixels.getPixels()
  for (let i = 0; i < width * height; i++) {
    for (let c = 0; c < 3; c++) rgba[4 * i + c] = rgb[3 * i + c] ?? 0
    rgba[4 * i + 3] = 255
  }
  return {
    pages: document.countPages(),
    text: page.toStructuredText('').asText(),
    code: jsQR(rgba, width, height)?.data,
  }
}

/** What a link hands out. */
export async function printed(page: Page, name: string) {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name, exact: true }).click(),
  ])
  const chunks: Buffer[] = []
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
  return { name: download.suggestedFilename(), data: Buffer.concat(chunks) }
}
