import { IconPlugConnectedX } from '@tabler/icons-react'
import { counted } from '#core/units'
import type { LineState } from '../../bench/benchSync.ts'
import css from './Bench.module.css'

/** How things stand with the server, plainly: offline or not, and how much waits. */
export function LineWords({ line }: { line: LineState }) {
  const waiting = counted(line.waiting, 'tap waits', 'taps wait')
  return (
    <div className={css.line} role="status">
      {!line.online && <IconPlugConnectedX size={34} stroke={1.5} />}
      <div>
        <strong>{line.online ? (line.waiting > 0 ? 'Sending' : 'All sent') : 'Working offline'}</strong>
        <span>
          {line.trouble ??
            (line.waiting > 0
              ? `${waiting} here, kept safe`
              : line.online
                ? 'every tap is kept here too'
                : 'nothing waits')}
        </span>
      </div>
    </div>
  )
}
