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
  const { run, error, follow } = useRun(runId!)
  useEffect(keepShell, [])
  if (error) return <Failed what="The bench" error={error} />
  if (!run) return <Loading what="the bench" />
  return <Open key={`${run.id} ${run.version}`} run={run} board={part === 'board'} follow={follow} />
}

function Open(props: { run: StoredRun; board: boolean; follow: (version: number) => void }) {
  const { run, board, follow } = props
  const [by, choose] = useHands()
  const bench = useBench(run, by)
  const there = bench.line.version
  useEffect(() => {
    // somebody has taken a new plan in: every tablet works by the same one
    if (there !== null && there > run.version) follow(there)
  }, [there, run.version, follow])
  useDocumentTitle(`${board ? 'Board' : 'Bench'} · ${run.title} · Kanten`)
  return board ? <Board bench={bench} /> : <Run bench={bench} by={by} choose={choose} />
}
