import { useDocumentTitle } from '@mantine/hooks'
import { useEffect } from 'react'
import { useParams } from 'react-router'
import type { StoredRun } from '#contract/bench'
import { keepShell } from '../../bench/shell.ts'
import { useBench, useRun } from '../../bench/useBench.ts'
import { useHands } from '../../bench/useHands.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { Board } from './Board.tsx'
import { Run } from './Run.tsx'

/** The address of a run: the whole screen, and nothing else on it. */
export function BenchRoom() {
  const { runId, part } = useParams()
  const { run, error } = useRun(runId!)
  useEffect(keepShell, [])
  if (error) return <Failed what="The bench" error={error} />
  if (!run) return <Loading what="the bench" />
  return <Open key={`${run.id} ${run.version}`} run={run} board={part === 'board'} />
}

function Open({ run, board }: { run: StoredRun; board: boolean }) {
  const [by, choose] = useHands()
  const bench = useBench(run, by)
  useDocumentTitle(`${board ? 'Board' : 'Bench'} · ${run.title} · Kanten`)
  return board ? <Board bench={bench} /> : <Run bench={bench} by={by} choose={choose} />
}
