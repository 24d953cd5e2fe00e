import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

/** The rooms of core from the ground up: each may use what stands before it. Files beside the rooms may be used by all. */
const ROOMS = [
  ...[
    'glossary',
    'schedule',
    'scale',
    'tips',
    'geometry',
    'strokes',
    'tools',
    'places',
    'loads',
    'surfaces',
    'words',
    'bouquet',
  ],
  ...['model', 'catalogue', 'icings', 'logbook', 'merge', 'files', 'finding'],
  ...['solids', 'pile', 'flowers', 'mesh', 'demonstration', 'wrong', 'practice', 'guides', 'placing'],
  ...['bags', 'colour', 'promise', 'plan', 'lighter', 'timeline', 'orders', 'line', 'bench', 'prints'],
]
const root = fileURLToPath(new URL('.', import.meta.url))
const sources = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.endsWith('testing.ts'),
)
const importsOf = new Map(
  sources.map((file) => [
    file,
    [...readFileSync(join(root, file), 'utf8').matchAll(/(?:from|import) '(\.[^']+)'/g)].map((m) =>
      normalize(join(dirname(file), m[1]!)),
    ),
  ]),
)
const roomOf = (file: string) => (file.includes('/') ? file.split('/')[0]! : null)

it('has a place for every room, and none that is not there', () => {
  const found = [...new Set(sources.flatMap((f) => roomOf(f) ?? []))].sort()
  expect(found).toEqual([...ROOMS].sort())
})

it('lets no room of core use one above it', () => {
  const upwards = [...importsOf].flatMap(([file, imports]) =>
    imports.flatMap((other) => {
      const [from, to] = [roomOf(file), roomOf(other)]
      const isUp = to !== null && (from === null || ROOMS.indexOf(to) > ROOMS.indexOf(from))
      return isUp ? [`${file} uses ${relative('.', other)}`] : []
    }),
  )
  expect(upwards).toEqual([])
})

it('has no circle of imports', () => {
  const done = new Set<string>()
  const circles: string[] = []
  const visit = (file: string, path: readonly string[]) => {
    if (path.includes(file)) circles.push([...path.slice(path.indexOf(file)), file].join(' > '))
    if (done.has(file) || path.includes(file)) return
    for (const other of importsOf.get(file) ?? []) visit(other, [...path, file])
    done.add(file)
  }
  for (const file of sources) visit(file, [])
  expect(circles).toEqual([])
})
