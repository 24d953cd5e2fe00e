import { useEffect } from 'react'
import { useParams } from 'react-router'
import type { StoredRun } from '#contract/bench'
import { keepShell } from '../../bench/shell.ts'
import { useBench, useRun } from '../../bench/useBench.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { Run } from './Run.tsx'

/** The address of a run: the whole screen, and nothing else on it. */
export function BenchRoom() {
  const { runId } = useParams()
  const { run, error } = useRun(runId!)
  useEffect(keepShell, [])
  if (error) return <Failed what="The bench" error={error} />
  if (!run) return <Loading what="the bench" />
  return <Open key={`${run.id} ${run.version}`} run={run} />
}

function Open({ run }: { run: StoredRun }) {
  const bench = useBench(run, null)
  return <Run bench={bench} by={null} />
}
