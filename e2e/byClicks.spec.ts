import { expect, test } from './bakery.ts'

/** The order that somebody new was given to plan, without a word typed that a list has: every press and every field is counted. */

const MOST_ACTS = 60

test('thirty cupcakes of three kinds, a two-tier cake and ten cookies in five colours, by presses alone', async ({
  page,
  request,
}) => {
  let acts = 0
  const act = async (done: Promise<unknown>) => {
    acts += 1
    await done
  }
  const press = (name: string | RegExp) => act(page.getByRole('button', { name, exact: true }).click())
  const fill = (label: string | RegExp, value: string) =>
    act(page.getByLabel(label, { exact: true }).first().fill(value))
  const piece = async (kind: string, count: string | null, flowers: readonly string[]) => {
    await press('Add a piece')
    await act(page.getByRole('menuitem', { name: kind, exact: true }).click())
    if (count) await fill('How many', count)
    await press('Add a flower')
    for (const flower of flowers) await press(`Add ${flower}`)
    await press('Done')
  }

  await page.goto('/orders')
  await press('New order')
  await fill('What is it for?', 'Somebody new')
  await press('Begin')

  await piece('Cupcakes', null, ['Classic rose'])
  await piece('Cupcakes', null, ['Ranunculus', 'Leaf'])
  await piece('Cupcakes', '6', ['Rosette'])
  await piece('Cookies', '10', ['Poppy'])
  await piece('Cakes', null, ['Rosette', 'Five-petal blossom', 'Bead border'])
  await fill(/^Across/, '200')
  await press('Add a tier on top')
  await fill('Across, upper tier', '130')

  const line = page.getByRole('navigation', { name: 'Line of work' })
  const figure = (stop: string) => line.getByRole('link', { name: new RegExp(`^${stop}`) }).locator('.figure')
  await expect(figure('Pieces')).toHaveText('41 pieces')

  // five colours of the ten that the flowers bring, two of them as the customer wants them
  await act(page.getByRole('link', { name: /^Colours/ }).click())
  await act(page.getByRole('link', { name: 'Change the palette' }).click())
  await act(page.getByRole('combobox', { name: 'Bring down to fewer colours' }).click())
  await act(page.getByRole('option', { name: '5 colours' }).click())
  await press('Take it')
  await expect(figure('Colours')).toHaveText('5 colours')
  await act(page.getByRole('link', { name: 'Mix', exact: true }).click())
  await fill('Colour wanted', '#e7b7b9')
  await press(/Ranunculus: heart/)
  await fill('Colour wanted', '#8a9a5b')

  await act(page.getByRole('link', { name: /^Brief/ }).click())
  await fill('Ready by, hours', '11')
  await act(page.getByText('nuts', { exact: true }).click())
  await act(page.getByText('egg', { exact: true }).click())
  expect(acts).toBeLessThanOrEqual(MOST_ACTS)
  await request.delete(`/api/orders/${page.url().split('/')[4]}`)
})
