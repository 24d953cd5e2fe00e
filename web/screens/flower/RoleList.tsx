import { Card } from '../../parts/Card.tsx'
import { HexInput } from '../../parts/HexInput.tsx'
import { NamedDab } from '../../parts/Swatch.tsx'
import { useWeight } from '../../parts/weight.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** The parts that have a colour of their own, and how much of each one flower takes. */
export function RoleList({ draft, grams }: { draft: FlowerDraft; grams: Map<string, number> }) {
  const weight = useWeight()
  const { flower, editable } = draft
  return (
    <Card title="Colours it asks for" aside="an order gives each its own">
      <ul className={css.roles}>
        {flower.roles.map((role) => (
          <li key={role.id}>
            {editable ? (
              <div className={css.roleColour}>
                <HexInput
                  hideLabel
                  label={`Colour of ${role.name}`}
                  width={150}
                  value={role.hex}
                  onChange={(hex) =>
                    draft.edit(`colour ${role.id}`, (f) => ({
                      ...f,
                      roles: f.roles.map((r) => (r.id === role.id ? { ...r, hex } : r)),
                    }))
                  }
                />
                {role.name}
              </div>
            ) : (
              <NamedDab hex={role.hex} name={role.name} />
            )}
            <span>{weight(grams.get(role.id) ?? 0)}</span>
          </li>
        ))}
      </ul>
    </Card>
  )
}
