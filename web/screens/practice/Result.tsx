import { Button } from '@mantine/core'
import { Link } from 'react-router'
import type { Ideal } from '#core/practice/ideal'
import { partLabels, partWords } from '#core/practice/partWords'
import { notJudged } from '#core/practice/senses'
import { Card } from '../../parts/Card.tsx'
import css from './Practice.module.css'
import type { Trying } from './useTried.ts'

/** One thing to change, and the marks by parts. */
export function Result({ ideal, tried, again }: { ideal: Ideal; tried: Trying; again: () => void }) {
  const { result, unkept } = tried
  if (!result)
    return (
      <Card label="What to do">
        <p className="quiet">what to do</p>
        <p className={css.advice}>{ideal.drill.does}</p>
        <p>
          Begin at the ring. The grey icing is what it should be; go at its pace, not as fast as you can. It
          is judged when all of it is piped.
        </p>
        <p className="quiet">
          A screen gives no counter-force: this trains rhythm and movement, not strength. How icing behaves
          here are <Link to="/settings/practice">figures</Link> that nobody measured in your kitchen.
        </p>
      </Card>
    )
  const { score, advice, senses, reads } = result
  const left = notJudged(senses, ideal.drill.nail !== null)
  const headed = ['steady', 'unsteady', 'nothing'].includes(advice.says)
    ? 'this try'
    : 'one thing to change next time'
  return (
    <>
      <Card label="Advice">
        <p className="quiet">{headed}</p>
        <p className={css.advice} role="status">
          {advice.headline}
        </p>
        <p>{advice.detail}</p>
        {unkept && (
          <p role="alert" className={css.unkept}>
            This try could not be kept: {unkept} <Button onClick={tried.keepAgain}>Try again</Button>
          </p>
        )}
        <Button fullWidth mt="sm" size="md" onClick={again}>
          Pipe it again
        </Button>
      </Card>
      {score.parts.length > 0 && (
        <Card
          title="This try, by parts"
          actions={
            <p className={css.total}>
              <strong className="figure">{Math.round(score.total)}</strong> of 100
            </p>
          }
        >
          <ul className={css.parts}>
            {[...score.parts]
              .sort((a, b) => a.marks - b.marks)
              .map((part) => (
                <li key={part.part}>
                  <p>
                    <strong>{partLabels[part.part]}</strong>
                    <span className={css.said}>{partWords(ideal, reads, part)}</span>
                    <b>{Math.round(part.marks)}</b>
                  </p>
                  <div className={css.bar}>
                    <i style={{ width: `${part.marks}%` }} />
                  </div>
                </li>
              ))}
          </ul>
          <p className="quiet">The weakest part counts most. {left}</p>
        </Card>
      )}
    </>
  )
}
