import { Button, Menu } from '@mantine/core'
import { changeRole, layersOfRole, mergeRole } from '#core/flowers/roles'
import { MOST_ROLES, roleSchema } from '#core/model/flower'
import { distinctName } from '#core/model/names'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { Card } from '../../parts/Card.tsx'
import { HexInput } from '../../parts/HexInput.tsx'
import { newId } from '../../parts/newId.ts'
import { NamedDab } from '../../parts/Swatch.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { useWeight } from '../../parts/weight.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** What a part is shown in until somebody says otherwise. */
const NEW_HEX = '#d8c7a8'

/** The parts that have a colour of their own, and how much of each one flower takes. */
export function RoleList({ draft, grams }: { draft: FlowerDraft; grams: Map<string, number> }) {
  const weight = useWeight()
  const { flower, editable } = draft

  function add() {
    const id = newId()
    draft.edit(`role ${id}`, (f) => ({
      ...f,
      roles: [
        ...f.roles,
        {
          id,
          name: distinctName(
            'Part',
            f.roles.map((r) => r.name),
          ),
          hex: NEW_HEX,
        },
      ],
    }))
  }

  return (
    <Card
      title="Colours it asks for"
      aside="an order gives each its own"
      actions={
        editable && (
          <Button size="compact-sm" disabled={flower.roles.length >= MOST_ROLES} onClick={add}>
            Add a part
          </Button>
        )
      }
    >
      <ul className={css.roles}>
        {flower.roles.map((role) => {
          const used = layersOfRole(flower, role.id).length
          return (
            <li key={role.id}>
              {editable ? (
                <div className={css.roleEdit}>
                  <HexInput
                    hideLabel
                    label={`Colour of ${role.name}`}
                    width={140}
                    value={role.hex}
                    onChange={(hex) =>
                      draft.edit(`colour ${role.id}`, (f) => changeRole(f, role.id, { hex }))
                    }
                  />
                  <TextField
                    hideLabel
                    label={`Name of ${role.name}`}
                    value={role.name}
                    schema={roleSchema.shape.name}
                    onChange={(name) =>
                      draft.edit(`name ${role.id}`, (f) => changeRole(f, role.id, { name }))
                    }
                  />
                  <span className={css.roleGrams}>{weight(grams.get(role.id) ?? 0)}</span>
                  {flower.roles.length > 1 && (
                    <AskedMenu
                      position="bottom-end"
                      button={<Button size="compact-sm">{used > 0 ? 'Join' : 'Remove'}</Button>}
                    >
                      {flower.roles
                        .filter((r) => r.id !== role.id)
                        .slice(0, used > 0 ? undefined : 1)
                        .map((into) => (
                          <Menu.Item
                            key={into.id}
                            onClick={() =>
                              draft.edit(`join ${role.id}`, (f) => mergeRole(f, role.id, into.id))
                            }
                          >
                            {used > 0 ? `One colour with ${into.name}` : `Nothing is piped in it: remove`}
                          </Menu.Item>
                        ))}
                    </AskedMenu>
                  )}
                </div>
              ) : (
                <>
                  <NamedDab hex={role.hex} name={role.name} />
                  <span>{weight(grams.get(role.id) ?? 0)}</span>
                </>
              )}
            </li>
          )
        })}
      </ul>
    </Card>
  )
}
