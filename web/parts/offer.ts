/** Offers a text as a file to save; the name is made safe for any file system. */
export function offerText(text: string, name: string): void {
  offerFile(new Blob([text], { type: 'text/plain' }), name)
}

/** Offers anything as a file to save; the name is made safe for any file system. */
export function offerFile(content: Blob, name: string): void {
  const url = URL.createObjectURL(content)
  const link = document.createElement('a')
  link.href = url
  link.download = name.toLowerCase().replace(/[^a-z0-9.]+/g, '-')
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
