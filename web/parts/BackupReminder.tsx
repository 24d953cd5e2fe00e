import { Link } from 'react-router'
import { counted } from '#core/units'
import { REMIND_AFTER_DAYS, useBackupAge } from '../data/backup.ts'
import css from './BackupReminder.module.css'

/** A line that appears when the last backup is old, or there has never been one, and there is something to lose. */
export function BackupReminder() {
  const age = useBackupAge()
  if (!age || age.orders === 0) return null
  if (age.days !== null && age.days < REMIND_AFTER_DAYS) return null
  return (
    <p className={css.reminder}>
      {age.days === null
        ? 'This bakery has never been backed up.'
        : `The last backup is ${counted(age.days, 'day')} old.`}{' '}
      <Link to="/settings">Save one now</Link>
    </p>
  )
}
