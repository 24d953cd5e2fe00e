import { Link } from 'react-router'
import type { z } from 'zod'
import { ALLERGENS_HERE } from '#core/model/labels'
import { type Settings, settingsSchema } from '#core/model/workshop'
import { editSettings, reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { BackupCard } from './BackupCard.tsx'
import { BakeryCard } from './BakeryCard.tsx'
import { figures } from './figures.ts'
import css from './SettingsPage.module.css'

/** How the bakery works: every figure a plan rests on that is not the order's. */
export function SettingsPage() {
  const { workshop, error } = useWorkshop()
  if (error && !workshop) return <Failed what="The settings" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the settings" />
  const { settings } = workshop
  const change = (part: Partial<Settings>) => editSettings((now) => ({ ...now, ...part }))
  return (
    <>
      <PageHead title="Settings" line="Saved by themselves; every plan follows at once" />
      <div className={css.columns}>
        <div className={css.stack}>
          <BakeryCard settings={settings} change={change} />
          <Card title="What box labels say" aside="as the rules where you sell want it">
            <div className={css.words}>
              <TextField
                label={`Contents; ${ALLERGENS_HERE} stands for what the icing contains`}
                multiline
                value={settings.boxWords}
                schema={settingsSchema.shape.boxWords}
                onChange={(boxWords) => change({ boxWords })}
              />
              <TextField
                label="Keeping"
                multiline
                value={settings.keepWords}
                schema={settingsSchema.shape.keepWords}
                onChange={(keepWords) => change({ keepWords })}
              />
            </div>
          </Card>
          <BackupCard bakery={settings.bakery} />
        </div>
        <Card title="What the plans rest on" aside="starting figures: put in your own as you learn them">
          <div className={css.figures}>
            {figures.map(({ key, label, unit, why, step }) => (
              <div key={key} className={css.line}>
                <NumberField
                  label={label}
                  unit={unit}
                  step={step}
                  value={settings[key]}
                  schema={settingsSchema.shape[key] as z.ZodType<number>}
                  onChange={(value) => change({ [key]: value })}
                />
                <span className="quiet">{why}</span>
              </div>
            ))}
          </div>
          <p className="quiet">
            Hands, opening hours, rests and shelves stand with <Link to="/week/limits">the week</Link>, how
            icing flows with <Link to="/settings/practice">practice</Link>.
          </p>
        </Card>
      </div>
    </>
  )
}
