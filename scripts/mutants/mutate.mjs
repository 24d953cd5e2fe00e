import { parseSync } from 'vite'

/** What an operator is exchanged for: a mistake that somebody could make. */
const EXCHANGE = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
}
/** Calls that a list survives without, and so might a test. */
const DROPPED = new Set(['filter', 'sort', 'toSorted', 'reverse'])
const SWAPPED = { max: 'min', min: 'max', ceil: 'floor', floor: 'ceil', cos: 'sin', sin: 'cos' }
/** A number is changed so much: more than any rounding hides. */
const NUMBER_FACTOR = 1.4

/**
 * Every small mistake that could be made in a source, each as what to replace: `{ start, end, text, what, line }`. Words
 * that are shown, types and schemas' descriptions are left alone.
 */
export function mutationsOf(file, code) {
  const { program, errors } = parseSync(file, code)
  if (errors.length > 0) throw new Error(`${file} does not parse.`)
  const found = []
  const add = (start, end, text, what) =>
    found.push({ start, end, text, what, line: code.slice(0, start).split('\n').length })
  walk(program, (node, parent) => {
    switch (node.type) {
      case 'BinaryExpression':
      case 'LogicalExpression': {
        const other = EXCHANGE[node.operator]
        const words = [node.left, node.right].some(
          (n) => n.type === 'TemplateLiteral' || typeof n.value === 'string',
        )
        if (!other || (node.operator === '+' && words)) break
        const from = code.indexOf(node.operator, node.left.end)
        add(from, from + node.operator.length, other, `${node.operator} becomes ${other}`)
        break
      }
      case 'ConditionalExpression':
      case 'IfStatement':
        add(
          node.test.start,
          node.test.end,
          `!(${code.slice(node.test.start, node.test.end)})`,
          'condition turned round',
        )
        break
      case 'Literal':
        if (typeof node.value === 'boolean')
          add(node.start, node.end, String(!node.value), `${node.value} becomes ${!node.value}`)
        if (typeof node.value === 'number' && !(parent?.type === 'Property' && parent.key === node)) {
          const next = node.value === 0 ? 1 : node.value * NUMBER_FACTOR
          add(node.start, node.end, String(next), `${node.value} becomes ${next}`)
        }
        break
      case 'UnaryExpression':
        if (node.operator === '-' || node.operator === '!')
          add(node.start, node.start + 1, '', `${node.operator} left out`)
        break
      case 'CallExpression': {
        const { callee } = node
        if (callee.type !== 'MemberExpression' || callee.computed) break
        const name = callee.property.name
        if (DROPPED.has(name)) add(callee.object.end, node.end, '', `.${name} left out`)
        if (SWAPPED[name] && callee.object.name === 'Math')
          add(callee.property.start, callee.property.end, SWAPPED[name], `${name} becomes ${SWAPPED[name]}`)
        break
      }
    }
  })
  return found
}

function walk(node, visit, parent = null) {
  if (
    !node ||
    typeof node.type !== 'string' ||
    (node.type.startsWith('TS') &&
      node.type !== 'TSAsExpression' &&
      node.type !== 'TSNonNullExpression' &&
      node.type !== 'TSSatisfiesExpression')
  )
    return
  visit(node, parent)
  for (const [key, value] of Object.entries(node)) {
    if (key === 'typeAnnotation' || key === 'typeArguments' || key === 'returnType') continue
    for (const child of Array.isArray(value) ? value : [value])
      if (child && typeof child === 'object' && typeof child.type === 'string') walk(child, visit, node)
  }
}
