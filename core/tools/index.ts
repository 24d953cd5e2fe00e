import { z } from 'zod'
import { dent } from './dent.ts'
import { drawIn } from './drawIn.ts'
import { flare } from './flare.ts'
import { flatten } from './flatten.ts'
import { furrow } from './furrow.ts'
import { notch } from './notch.ts'
import { paintDots, paintLines, wash } from './paint.ts'
import { press } from './press.ts'
import { roughen } from './roughen.ts'
import type { ToolDefinition } from './tool.ts'
import { vein } from './vein.ts'

/** Everything that is done to icing without a bag. */
export const tools = {
  ...{ drawIn, flatten, vein, press, flare, notch, furrow, roughen, dent },
  ...{ paintDots, paintLines, wash },
}
export type ToolKind = keyof typeof tools

export const workSchema = z.discriminatedUnion('kind', [
  drawIn.schema,
  flatten.schema,
  vein.schema,
  press.schema,
  flare.schema,
  notch.schema,
  furrow.schema,
  roughen.schema,
  dent.schema,
  paintDots.schema,
  paintLines.schema,
  wash.schema,
])
export type Work = z.infer<typeof workSchema>

/** The definition behind any of them. */
export const toolDefinition = (kind: ToolKind): ToolDefinition => tools[kind] as unknown as ToolDefinition
