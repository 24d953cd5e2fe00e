import { describe, expect, it } from 'vitest'
import { strokeFields } from './fields.ts'
import { type StrokeKind, strokes } from './index.ts'

describe.each(Object.keys(strokes) as StrokeKind[])('%s', (kind) => {
  it('has a bench word, a unit and a range for every figure', () => {
    const fields = strokeFields(kind)
    expect(fields.length).toBeGreaterThan(0)
    for (const field of fields) {
      expect(field.words, field.key).toMatch(/^[a-z ]+$/)
      expect(field.max).toBeGreaterThan(field.min)
    }
    expect(new Set(fields.map((f) => f.words)).size).toBe(fields.length)
  })
})
