import { type Order, orderSchema } from '../../model/order.ts'

/** What the tests of advice share: an order for a dozen flat cupcakes, with what a test changes of piece and order. */
export const cupcakes = (piece: object, more: object = {}): Order =>
  orderSchema.parse({
    id: 'o',
    title: 'Test',
    collectAt: '2026-12-01T10:00',
    icingKindId: 'butter-sugar',
    colours: [
      { id: 'rose', name: 'Rose', hex: '#d98fa0' },
      { id: 'leaf', name: 'Leaf', hex: '#6f8a4a' },
    ],
    pieces: [
      {
        id: 'p',
        name: 'Cupcakes',
        count: 12,
        shape: { kind: 'cupcake', diameterMm: 60, domeMm: 0 },
        coat: { colourId: 'rose', thicknessMm: 1.5, stiffness: 'medium' },
        flowers: [],
        ...piece,
      },
    ],
    ...more,
  })
