/** What keys do, by where. */
export const KEYS: readonly { where: string; keys: readonly (readonly [key: string, does: string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'find an order, a flower, a tip, a dye or a screen'],
      ['?', 'these keys'],
      ['Ctrl Z, Ctrl Shift Z', 'undo and redo on what is being edited'],
      ['Esc', 'close what lies over the page'],
    ],
  },
  {
    where: 'A flower being piped',
    keys: [
      ['P', 'play and pause'],
      ['← →', 'the stop before and the next one'],
    ],
  },
  {
    where: 'Practice',
    keys: [
      ['↑ ↓', 'squeeze, lift or turn the nail: whatever the other hand does'],
      ['Backspace', 'take the last stroke away'],
      ['Enter', 'that is all of it'],
    ],
  },
  {
    where: 'The bench',
    keys: [['as you teach them', 'under “This tablet”: tap, spoiled, undo, the next step']],
  },
]
