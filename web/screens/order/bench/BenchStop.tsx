import { Button } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { StoredRun } from '#contract/bench'
import { differs } from '#core/bench/differs'
import { progress } from '#core/bench/turn'
import { canKeepShell } from '../../../bench/shell.ts'
import { useBench } from '../../../bench/useBench.ts'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { beginRun, removeRun, renewRun, useRunOf } from '../../../data/runs.ts'
import { useSaving } from '../../../data/useDocument.ts'
import { Card } from '../../../parts/Card.tsx'
import { useCalendar } from '../../../parts/calendar.ts'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { Failed, Loading } from '../../../parts/states.tsx'
import { localMoment } from '../../../parts/time.ts'
import { useWeight } from '../../../parts/weight.tsx'

/** Where work on an order begins and is gone on with; and what has changed in the order since. */
export function BenchStop() {
  const { order, plan, faults, sync } = useOrderEditor()
  const save = useSaving(sync)
  const { run, error } = useRunOf(order.id)
  const navigate = useNavigate()
  const [trouble, setTrouble] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  if (error && run === undefined) return <Failed what="The bench" error={error} />
  if (run === undefined) return <Loading what="the bench" />
  if (run) return <Going key={`${run.id} ${run.version}`} run={run} />
  const blocked = !plan || faults.length > 0 || plan.bags.length === 0
  return (
    <Card title="Start work">
      <p>
        Starting freezes the plan as it stands now: its bags, bowls and designs, so that labels which are
        printed stay true. The order can still be changed; what differs is then shown here.
      </p>
      {blocked && <p className="quiet">There is nothing to pipe yet, or the plan cannot be made.</p>}
      {trouble && <p role="alert">{trouble}</p>}
      <Button
        mt="sm"
        size="lg"
        variant="filled"
        disabled={blocked || save.kind !== 'saved'}
        loading={busy}
        onClick={async () => {
          setBusy(true)
          setTrouble(null)
          try {
            const begun = await beginRun(order.id)
            navigate(`/bench/${begun.id}`)
          } catch (failed) {
            setTrouble(`Work could not be started: ${(failed as Error).message}`)
            setBusy(false)
          }
        }}
      >
        Start work
      </Button>
    </Card>
  )
}

function Going({ run }: { run: StoredRun }) {
  const { order, plan, sync } = useOrderEditor()
  const save = useSaving(sync)
  const { shortMoment } = useCalendar()
  const weight = useWeight()
  const { tally, line } = useBench(run, null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const { steps } = run.frozen
  const done = progress(steps, tally)
  const untouched = steps.every((s) => tally.of.get(s.id)!.count === 0)
  const other = plan ? differs(run.frozen, order, plan, weight) : []
  const act = (work: () => Promise<unknown>) => async () => {
    setTrouble(null)
    try {
      await work()
    } catch (failed) {
      setTrouble((failed as Error).message)
    }
  }
  return (
    <>
      {other.length > 0 && (
        <Card
          title={
            <>
              <FlagMark /> The order has changed since work began
            </>
          }
          actions={
            <Button disabled={save.kind !== 'saved'} onClick={act(() => renewRun(run.id, run.version))}>
              Take the new plan in
            </Button>
          }
        >
          <ul>
            {other.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <p className="quiet">
            Work goes on as printed until you take it in. What is done stays done; labels of bags that change
            are printed anew.
          </p>
        </Card>
      )}
      {tally.strays.length > 0 && (
        <Card title="Done, and not in the plan any more">
          <p>
            {tally.strays.length} taps belong to steps that the present plan does not have. They are kept and
            counted nowhere.
          </p>
        </Card>
      )}
      <Card title="At the bench" aside={`begun ${shortMoment(localMoment(new Date(run.begunAt)))}`}>
        <p>
          <strong className="figure">
            {done.done} of {done.of} steps
          </strong>{' '}
          done, {Math.round(100 * done.share)} % of the work.
          {!line.online && ' The server does not answer just now: this is what this device knows.'}
        </p>
        {!canKeepShell() && (
          <p className="quiet">
            This page came over plain http. Every tap is kept on the tablet all the same, but the page cannot
            be opened again while the network is gone: leave it open, or serve Kanten over https.
          </p>
        )}
        {trouble && <p role="alert">{trouble}</p>}
        <Button mt="sm" size="lg" variant="filled" component={Link} to={`/bench/${run.id}`}>
          Go on at the bench
        </Button>{' '}
        <Button mt="sm" size="lg" component={Link} to={`/bench/${run.id}/wrap-up`}>
          Wrap up
        </Button>{' '}
        {untouched && (
          <Button mt="sm" size="lg" onClick={act(() => removeRun(run.id))}>
            Take the beginning back
          </Button>
        )}
      </Card>
    </>
  )
}
