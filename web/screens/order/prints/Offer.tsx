import { offerSchema, type Piece } from '#core/model/order'
import { quote } from '#core/plan/quote'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { OptionalNumberField } from '../../../parts/NumberField.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import css from './Prints.module.css'

const priceSchema = offerSchema.shape.prices.valueType

/** What is offered: a price for one of each piece, beside what it costs the bakery, and what is said under the prices. */
export function Offer() {
  const { order, plan, workshop, edit } = useOrderEditor()
  const { currency } = workshop.settings
  const costs = plan ? quote(order, plan, workshop.settings) : []
  const price = (piece: Piece, value: number | null) =>
    edit(
      `Price of ${piece.name}`,
      (o) => {
        const { [piece.id]: _, ...others } = o.offer.prices
        return {
          ...o,
          offer: { ...o.offer, prices: value === null ? others : { ...others, [piece.id]: value } },
        }
      },
      `price ${piece.id}`,
    )
  return (
    <div className={css.offer}>
      {order.pieces.map((piece) => {
        const cost = costs.find((c) => c.pieceId === piece.id)
        return (
          <div key={piece.id}>
            <OptionalNumberField
              label={`${piece.name}, each`}
              unit={currency}
              value={order.offer.prices[piece.id] ?? null}
              schema={priceSchema}
              onChange={(value) => price(piece, value)}
            />
            {cost && (
              <span className="quiet">
                icing and hands {currency} {(cost.ingredientsEach + cost.labourEach).toFixed(2)}; not printed
              </span>
            )}
          </div>
        )
      })}
      <div className={css.words}>
        <TextField
          label="Under the prices"
          multiline
          value={order.offer.words}
          schema={offerSchema.shape.words}
          placeholder="Deposit, delivery, how long the offer holds"
          onChange={(words) =>
            edit('Words of the quote', (o) => ({ ...o, offer: { ...o.offer, words } }), 'offer words')
          }
        />
      </div>
    </div>
  )
}
