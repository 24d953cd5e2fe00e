import { Button, Select } from '@mantine/core'
import type { z } from 'zod'
import { type LayerLoad, loadDefinition, loads } from '#core/loads/index'
import { Figure } from './Figure.tsx'
import css from './Studio.module.css'

const shareSchema = (load: LayerLoad, key: string) =>
  (loads[load.kind].schema.shape as unknown as Record<string, z.ZodType<number>>)[key]!

const partNames: Record<string, string> = {
  role: 'Colour',
  wideEnd: 'Wide end',
  rest: 'The rest',
  inner: 'Inside',
  outer: 'Outside',
  first: 'Left behind',
  next: 'Filled next',
}

/** Which colour goes where in the bag; for two of them the tip, or the roll, can be turned round. */
export function LoadColours(props: {
  load: LayerLoad
  roles: { value: string; label: string }[]
  onChange: (load: LayerLoad) => void
}) {
  const { load, roles, onChange } = props
  const named = loadDefinition(load.kind).roles(load)
  const set = (path: (string | number)[], role: string): LayerLoad =>
    load.kind === 'layered'
      ? { ...load, tones: load.tones.with(path[1] as number, role) }
      : ({ ...load, [path[0]!]: role } as LayerLoad)
  return (
    <>
      <div className={css.pair}>
        {named.map(({ path, role }) => (
          <Select
            key={path.join()}
            label={partNames[path[0]!] ?? ['Outermost', 'Next', 'Innermost'][path[1] as number]}
            value={role}
            onChange={(id) => id && onChange(set(path, id))}
            data={roles}
          />
        ))}
      </div>
      {'border' in load && (
        <Figure
          words="stripe"
          unit=""
          value={load.border}
          schema={shareSchema(load, 'border')}
          min={0.05}
          max={0.95}
          step={0.01}
          onChange={(border) => onChange({ ...load, border })}
        />
      )}
      {'share' in load && (
        <Figure
          words="left behind"
          unit=""
          value={load.share}
          schema={shareSchema(load, 'share')}
          min={0.02}
          max={0.5}
          step={0.01}
          onChange={(share) => onChange({ ...load, share })}
        />
      )}
      <div className={css.buttons}>
        {load.kind === 'striped' && (
          <Button
            size="compact-sm"
            onClick={() => onChange({ ...load, wideEnd: load.rest, rest: load.wideEnd })}
          >
            Turn the tip round
          </Button>
        )}
        {load.kind === 'halves' && (
          <Button
            size="compact-sm"
            onClick={() => onChange({ ...load, inner: load.outer, outer: load.inner })}
          >
            Turn the tip round
          </Button>
        )}
        {load.kind === 'layered' && load.tones.length < 3 && roles.length > 2 && (
          <Button
            size="compact-sm"
            onClick={() =>
              onChange({
                ...load,
                tones: [...load.tones, roles.find((r) => !load.tones.includes(r.value))!.value],
              })
            }
          >
            A third tone
          </Button>
        )}
      </div>
    </>
  )
}
