/** The widest side to which a picture is brought before a code is looked for, in pixels. */
const widest = 1600

/** read finds the code in some pixels; undefined where there is none. */
async function read(picture: ImageBitmap | HTMLVideoElement, width: number, height: number) {
  const scale = Math.min(1, widest / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * scale))
  canvas.height = Math.max(1, Math.round(height * scale))
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) return undefined
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
  const { default: jsQR } = await import('jsqr')
  return jsQR(data, canvas.width, canvas.height)?.data
}

/** codeIn is the text of the code in a picture; undefined where there is none, or it is no picture. */
export async function codeIn(file: Blob): Promise<string | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const { width, height } = picture
  try {
    return await read(picture, width, height)
  } finally {
    picture.close()
  }
}

/** codeSeen is the text of the code that a camera sees now; undefined where it sees none. */
export const codeSeen = (video: HTMLVideoElement) =>
  video.videoWidth ? read(video, video.videoWidth, video.videoHeight) : Promise.resolve(undefined)
