import { describe, expect, it } from 'vitest'
import { openApiDocument } from './openapi.ts'
import { problemSchema, toPointer } from './problem.ts'

describe('pointers', () => {
  it('escape what a pointer would take for itself (RFC 6901)', () => {
    expect(toPointer(['order', 'pieces', 0, 'a/b', 'c~d'])).toBe('/order/pieces/0/a~1b/c~0d')
    expect(toPointer([])).toBe('')
  })
})

describe('the API’s description', () => {
  const { paths } = openApiDocument()
  it('names every placeholder of a path, and asks for If-Match where versions count', () => {
    for (const [path, methods] of Object.entries(paths))
      for (const operation of Object.values(methods) as { parameters: { name: string; in: string }[] }[]) {
        const wanted = [...path.matchAll(/\{(\w+)\}/g)].map((m) => m[1])
        expect(operation.parameters.filter((p) => p.in === 'path').map((p) => p.name)).toEqual(wanted)
      }
    const put = paths['/api/orders/{id}']!.put as { parameters: { name: string }[]; requestBody: object }
    expect(put.parameters.map((p) => p.name)).toContain('If-Match')
    expect(JSON.stringify(put.requestBody)).toContain('practicePerFlower')
  })
  it('says what an error looks like', () => {
    expect(problemSchema.safeParse({ title: 'x' }).success).toBe(false)
  })
})
