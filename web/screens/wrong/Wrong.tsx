import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { mishapsFor } from '#core/catalogue/mishaps'
import { PageHead } from '../../parts/Card.tsx'
import { Empty } from '../../parts/states.tsx'
import { Mishaps } from './Mishaps.tsx'

/** Everything that goes wrong in piping, to be looked for by how it looks. */
export function Wrong() {
  const [search, setSearch] = useState('')
  const found = mishapsFor(search, null)
  return (
    <>
      <PageHead
        title="What goes wrong"
        line="Pressure, angle, stiffness: one of these three, nearly always"
        actions={
          <TextInput
            aria-label="How does yours look?"
            placeholder="points, torn, sags, breaks, lopsided…"
            value={search}
            onChange={(e) => setSearch(e.currentTarget.value)}
            w={300}
          />
        }
      />
      {found.length > 0 ? (
        <Mishaps mishaps={found} under="h1" />
      ) : (
        <Empty title="Nothing is found">Try one word of how it looks: points, torn, sags, breaks.</Empty>
      )}
    </>
  )
}
