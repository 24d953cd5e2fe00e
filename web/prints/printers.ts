export interface PrintJob {
  pdf: ArrayBuffer
  title: string
}

/** Something that prints a PDF; each driver knows one way. */
export interface Printer {
  id: 'browser' | 'simulated'
  name: string
  about: string
  /** Prints labels only. */
  labelsOnly: boolean
  /** @throws Error in words where it cannot. */
  print(job: PrintJob): void
}

/** Every printer that the machine knows, through the browser's own dialog. */
const browser: Printer = {
  id: 'browser',
  name: 'Print dialog',
  about: 'Any printer of this machine. Choose 100 %, not “fit to page”.',
  labelsOnly: false,
  print({ pdf, title }) {
    const url = URL.createObjectURL(new Blob([pdf], { type: 'application/pdf' }))
    const opened = window.open(url, '_blank')
    if (opened) opened.addEventListener('load', () => opened.print())
    else
      throw new Error(
        `The browser does not let Kanten open a window. Open “${title}” as PDF and print it there.`,
      )
    // as long as anybody leaves the dialog open
    setTimeout(() => URL.revokeObjectURL(url), 600_000)
  },
}

/** A label printer that is only drawn: the strip comes out on the screen. */
const simulated = (comesOut: (job: PrintJob) => void): Printer => ({
  id: 'simulated',
  name: 'Simulated label printer',
  about: 'Shows the strip as it would come out, at true size. Nothing is put on paper.',
  labelsOnly: true,
  print: ({ pdf, title }) => comesOut({ pdf, title }),
})

export const printersFor = (comesOut: (job: PrintJob) => void): Printer[] => [browser, simulated(comesOut)]
