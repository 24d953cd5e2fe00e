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
import { WrapUp } from './wrapUp/WrapUp.tsx'

/** The address of a run: the whole screen, and nothing else on it. */
export function BenchRoom() {
  const { runId, part } = useParams()
  const { run, error, follow } = useRun(runId!)
  useEffect(keepShell, [])
  if (error) return <Failed what="The bench" error={error} />
  if (!run) return <Loading what="the bench" />
  return <Open key={`${run.id} ${run.version}`} run={run} part={part ?? ''} follow={follow} />
}

const TITLES: Record<string, string> = { board: 'Board', 'wrap-up': 'Wrap-up' }

function Open(props: { run: StoredRun; part: string; follow: (version: number) => void }) {
  const { run, part, follow } = props
  const [by, choose] = useHands()
  const bench = useBench(run, by)
  const there = bench.line.version
  useEffect(() => {
    // somebody has taken a new plan in: every tablet works by the same one
    if (there !== null && there > run.version) follow(there)
  }, [there, run.version, follow])
  useDocumentTitle(`${TITLES[part] ?? 'Bench'} · ${run.title} · Kanten`)
  if (part === 'board') return <Board bench={bench} />
  if (part === 'wrap-up') return <WrapUp bench={bench} />
  return <Run bench={bench} by={by} choose={choose} />
}
