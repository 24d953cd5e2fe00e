const at = (id) => document.getElementById(id)
const set = (part) =>
  fetch('/set', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(part),
  })
const load = at('load')
const put = (grams) => {
  load.value = String(Math.max(0, grams))
  set({ loadGrams: Number(load.value) })
}
for (const button of document.querySelectorAll('[data-add]'))
  button.addEventListener('click', () => put(Number(load.value) + Number(button.dataset.add)))
load.addEventListener('input', () => put(Number(load.value)))
at('clear').addEventListener('click', () => put(0))
at('tare').addEventListener('click', () => fetch('/tare', { method: 'POST' }))
at('noise').addEventListener('input', (e) => set({ noiseGrams: Number(e.target.value) }))
at('drift').addEventListener('input', (e) => set({ driftGrams: Number(e.target.value) }))
at('shaken').addEventListener('change', (e) => set({ shaken: e.target.checked }))
at('plugged').addEventListener('change', (e) => set({ plugged: e.target.checked }))

function listen() {
  const lines = new EventSource('/lines')
  lines.onmessage = ({ data }) => {
    const [status, mode, weight, unit] = data.split(',')
    at('weight').textContent = status === 'OL' ? 'over its load' : `${weight.replace(/\s+/g, '')} ${unit}`
    at('state').textContent = `${status === 'ST' ? 'at rest' : 'moving'}${mode === 'NT' ? ', tared' : ''}`
  }
  lines.onerror = () => {
    lines.close()
    at('state').textContent = 'unplugged'
    setTimeout(listen, 500)
  }
}
listen()
