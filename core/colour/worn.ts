import { encodeChannel, hexChannels, linearChannel } from './lab.ts'

/** Share of the light between overlapping petals that strikes another petal before it gets out. */
const CAUGHT = 0.32

/**
 * How a colour looks on a flower of overlapping petals: light that strikes several petals is tinted several times,
 * which deepens it. `R (1 - f) / (1 - f R)` a channel, the reflectance of a cavity, brought back to the swatch's own
 * lightness where it would only be in shade.
 */
export function worn(hex: string): string {
  const channels = hexChannels(hex).map(linearChannel)
  const caught = channels.map((r) => (r * (1 - CAUGHT)) / (1 - CAUGHT * r))
  // a white flower is white: shade is drawn by the light, not by the colour
  const white = Math.max(...channels)
  const scale = white / Math.max(1e-6, (white * (1 - CAUGHT)) / (1 - CAUGHT * white))
  return `#${caught
    .map((c) =>
      Math.round(encodeChannel(Math.min(1, c * scale)) * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
