/**
 * A colour as people type or paste it, as #rrggbb in small letters: with or without the #, three or six digits.
 * @returns null while it is not a colour yet.
 */
export function readHex(text: string): string | null {
  const digits = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(text.trim())?.[1]?.toLowerCase()
  if (!digits) return null
  return digits.length === 6 ? `#${digits}` : `#${[...digits].map((d) => d + d).join('')}`
}
