import { z } from 'zod'
import type { Endpoint } from './endpoint.ts'
import { allEndpoints } from './endpoints.ts'
import { problemSchema } from './problem.ts'

const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: z.toJSONSchema(schema, { io, unrepresentable: 'any' }) },
})

/** The OpenAPI 3.1 document of the whole API, made from the same schemas that check its requests. */
export function openApiDocument() {
  const paths: Record<string, Record<string, unknown>> = {}
  for (const e of allEndpoints) {
    const path = `/api${e.path.replace(/:(\w+)/g, '{$1}')}`
    paths[path] = { ...paths[path], [e.method]: operation(e) }
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Kanten', version: '1', description: 'Plans piped flowers for a bakery.' },
    paths,
  }
}

function operation(e: Endpoint) {
  const inPath = [...e.path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }))
  const ifMatch = { name: 'If-Match', in: 'header', required: true, schema: { type: 'string' } }
  return {
    summary: e.summary,
    parameters: [...inPath, ...inQuery(e.query), ...(e.versioned ? [ifMatch] : [])],
    ...(e.body ? { requestBody: { required: true, content: json(e.body, 'input') } } : {}),
    responses: {
      200: { description: 'Done', ...(e.answer ? { content: json(e.answer, 'output') } : {}) },
      default: {
        description: 'What is wrong and where',
        content: { 'application/problem+json': { schema: z.toJSONSchema(problemSchema) } },
      },
    },
  }
}

function inQuery(query: z.ZodType | undefined) {
  if (!(query instanceof z.ZodObject)) return []
  return Object.entries(query.shape as Record<string, z.ZodType>).map(([name, schema]) => ({
    name,
    in: 'query',
    required: !schema.safeParse(undefined).success,
    schema: z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }),
  }))
}
