import { Button } from '@mantine/core'
import { dequal as equal } from 'dequal/lite'
import { Link } from 'react-router'
import { type Stiffness, stiffnesses } from '#core/common'
import {
  type IcingFlow,
  icingFlowSchema,
  type PracticeSettings,
  practiceSettingsSchema,
  USUAL_FLOWS,
} from '#core/model/practice'
import { editSettings, reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import css from './SettingsPage.module.css'

const FIGURES: { key: keyof IcingFlow; name: string; unit?: string; step: number; why: string }[] = [
  { key: 'yieldPa', name: 'Yields at', unit: 'Pa', step: 5, why: 'below it, nothing comes' },
  { key: 'consistency', name: 'Resists', step: 5, why: 'Pa·sⁿ, how stiff it is while it flows' },
  { key: 'index', name: 'n', step: 0.01, why: 'the lower, the more it gives way to a hard squeeze' },
  { key: 'heightShare', name: 'Height over width', step: 0.02, why: 'of what lies' },
  { key: 'breaksAt', name: 'Breaks under', step: 0.05, why: 'of the opening, drawn out' },
  { key: 'heapsAt', name: 'Heaps over', step: 0.1, why: 'of the opening, pushed together' },
]

/** What the practice sheet rests on: how icing flows and lies, and from when advice is sure. */
export function PracticeFigures() {
  const { workshop, error } = useWorkshop()
  if (error && !workshop) return <Failed what="The figures" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the figures" />
  const { practice } = workshop.settings
  const change = (part: Partial<PracticeSettings>) =>
    editSettings((s) => ({ ...s, practice: { ...s.practice, ...part } }))
  const flow = (stiffness: Stiffness, part: Partial<IcingFlow>) =>
    change({ flows: { ...practice.flows, [stiffness]: { ...practice.flows[stiffness], ...part } } })
  return (
    <>
      <PageHead
        title="What practice rests on"
        line="Nobody measured these in your kitchen: they are figures that behave as icing is known to."
        actions={
          <>
            <Button
              disabled={equal(practice.flows, USUAL_FLOWS)}
              onClick={() => change({ flows: USUAL_FLOWS })}
            >
              Icing as it was
            </Button>
            <Button component={Link} to="/practice">
              To the drills
            </Button>
          </>
        }
      />
      <Card title="How icing flows and lies">
        <div className={css.flows}>
          {stiffnesses.map((stiffness) => (
            <fieldset key={stiffness}>
              <legend>{stiffness}</legend>
              {FIGURES.map(({ key, name, unit, step }) => (
                <NumberField
                  key={key}
                  label={name}
                  {...(unit ? { unit } : {})}
                  step={step}
                  value={practice.flows[stiffness][key]}
                  schema={icingFlowSchema.shape[key]}
                  onChange={(value) => flow(stiffness, { [key]: value })}
                />
              ))}
            </fieldset>
          ))}
        </div>
        <p className="quiet">{FIGURES.map(({ name, why }) => `${name}: ${why}`).join('; ')}.</p>
      </Card>
      <Card title="The hand">
        <div className={css.figures}>
          <div className={css.line}>
            <NumberField
              label="Sure of a fault at"
              unit="times"
              step={0.1}
              value={practice.sureAt}
              schema={practiceSettingsSchema.shape.sureAt.unwrap()}
              onChange={(sureAt) => change({ sureAt })}
            />
            <span className="quiet">
              What any hand does. Under it, advice says “not steady yet” rather than the wrong thing.
            </span>
          </div>
          <div className={css.line}>
            <NumberField
              label="The bag is full to"
              step={0.1}
              value={practice.bagFull}
              schema={practiceSettingsSchema.shape.bagFull.unwrap()}
              onChange={(bagFull) => change({ bagFull })}
            />
            <span className="quiet">
              1 is full: the fuller, the longer it goes on giving when you let go.
            </span>
          </div>
        </div>
      </Card>
    </>
  )
}
