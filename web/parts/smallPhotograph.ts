/** Longest side of a photograph that is kept, pixels: sharp over a whole screen. */
const LONGEST_PX = 1600
const QUALITY = 0.82
/** Files larger than this are no photographs of a camera or a telephone, bytes. */
const MOST_FILE_BYTES = 80_000_000

/**
 * A photograph made small in this browser. It is drawn anew, so that nothing that the camera wrote beside it, where it was taken
 * above all, leaves the device.
 * @throws Error in words when the file is no picture, or one that this browser cannot open.
 */
export async function smallPhotograph(file: Blob): Promise<Blob> {
  if (file.size > MOST_FILE_BYTES)
    throw new Error(`The file has ${Math.round(file.size / 1e6)} MB. Choose a photograph of at most 80 MB.`)
  let picture: ImageBitmap
  try {
    picture = await createImageBitmap(file)
  } catch {
    throw new Error(
      'This browser cannot open the file as a picture. Choose a photograph as JPEG, PNG or WebP.',
    )
  }
  const share = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * share))
  canvas.height = Math.max(1, Math.round(picture.height * share))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  const small = await new Promise<Blob | null>((made) => canvas.toBlob(made, 'image/jpeg', QUALITY))
  if (!small) throw new Error('This browser could not make the picture smaller. Try another one.')
  return small
}
