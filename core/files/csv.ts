import Papa from 'papaparse'

/** One row of a table that goes out: cells by the names of their columns. */
export type CsvRow = Record<string, string | number | null>

/** Where a cell, or a line within one, begins as a spreadsheet's formula does; full-width signs count too. */
const FORMULA = /(^|[\r\n])(\s*)(?=[=+\-@\uff1d\uff0b\uff0d\uff20])|^(?=[\t\r])/g

/** Text that a spreadsheet shows and does not run. */
const asText = (cell: CsvRow[string]) => (typeof cell === 'string' ? cell.replace(FORMULA, "$1$2'") : cell)

/** Rows as CSV with a header line, CRLF, and cells that a spreadsheet would run as formulas quoted as text. */
export function toCsv(rows: readonly CsvRow[]): string {
  const safe = rows.map((row) =>
    Object.fromEntries(Object.entries(row).map(([name, cell]) => [name, asText(cell)])),
  )
  return `${Papa.unparse(safe)}\r\n`
}
