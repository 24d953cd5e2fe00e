import type { AllergenProof } from '#core/plan/proof'
import { Card } from '../../../parts/Card.tsx'
import css from './Brief.module.css'

/** For each thing that must not be in it: what was looked at, and what nobody here knows. */
export function Proof({ proofs }: { proofs: readonly AllergenProof[] }) {
  return (
    <Card title="What must not be in it" aside="what was looked at, and what is not known">
      {proofs.map((proof) => (
        <section key={proof.allergen} className={css.proof} aria-label={`Without ${proof.words}`}>
          <h3>{verdict(proof)}</h3>
          {proof.contains.length > 0 && (
            <p>
              <strong>Contains it:</strong> {proof.contains.join(', ')}.
            </p>
          )}
          {proof.doubtful.length > 0 && (
            <p>
              <strong>Read the label:</strong> {proof.doubtful.join(', ')}. The name lets one expect it, the
              recipe says nothing.
            </p>
          )}
          <p className="quiet">
            Looked at and said to be without: {proof.without.join(', ') || 'nothing'}. Not known:{' '}
            {proof.unknown.join('; ')}.
          </p>
        </section>
      ))}
      <p className="quiet">
        This is what the recipes say, not a test. A kitchen that also works with it cannot promise none: your
        food-safety plan and the local rules decide what may be written on the box.
      </p>
    </Card>
  )
}

function verdict({ words, contains, doubtful }: AllergenProof): string {
  const name = words.slice(0, 1).toUpperCase() + words.slice(1)
  if (contains.length > 0) return `${name}: it is in the icing`
  if (doubtful.length > 0) return `${name}: not sure`
  return `${name}: in none of the icing's ingredients`
}
