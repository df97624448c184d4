import { v7 } from 'uuid'
import {
  answer,
  api,
  fileBody,
  type Arrived,
  type AttendanceAsked,
  type StudentsAsked,
  type Table,
} from '../../../lib/api/client'
import { keepUnsent, unsent } from '../../../lib/drafts/unsent'

/** What a table can be about. */
export type About = 'students' | 'attendance'

/** What a coach chose about a table of students, beside the table itself. */
export type Choices = Omit<StudentsAsked, 'rows'>

interface Kept {
  id: string
  about: About
  table: Table
  choices: Choices
  people: NonNullable<AttendanceAsked['people']>
}

/**
 * BringIn is a table that is to come in, with what a coach chose about it. It stays in this tab until it came in or was
 * left.
 */
export class BringIn {
  about = $state<About>('students')
  table = $state.raw<Table>()
  choices = $state.raw<Choices>({})
  people = $state.raw<Kept['people']>([])
  #id = v7()

  readonly students = $derived({ ...this.choices, rows: this.table?.rows ?? [] })
  readonly attendance = $derived({
    rows: this.table?.rows ?? [],
    dates: this.choices.dates,
    people: this.people,
  })

  constructor() {
    const kept = unsent<Kept>('arrival')
    if (!kept) return
    this.#id = kept.id
    this.about = kept.about
    this.table = kept.table
    this.choices = kept.choices
    this.people = kept.people
  }

  /** keep writes it down in this tab. */
  keep() {
    const { about, table, choices, people } = this
    keepUnsent('arrival', table ? { id: this.#id, about, table, choices, people } : null)
  }

  /** read has the program read a file, or cells that were pasted. */
  async read(file: Blob) {
    const table = await answer(api.POST('/api/tables', fileBody(file)))
    this.leave()
    this.table = table
  }

  choose(more: Choices) {
    this.choices = { ...this.choices, ...more }
  }

  /** What becomes of a row. */
  decide(row: number, what: NonNullable<Choices['do']>[number]['do']) {
    this.choose({ do: [...(this.choices.do ?? []).filter((each) => each.row !== row), { row, do: what }] })
  }

  /** Who a name in a table of attendance is; empty: left out. */
  name(name: string, student: string) {
    this.people = [
      ...this.people.filter((each) => each.name !== name),
      student ? { name, student } : { name },
    ]
  }

  /** Mends a cell. */
  mend(row: number, column: number, cell: string) {
    if (!this.table) return
    const rows = [...this.table.rows]
    const cells = [...(rows[row] ?? [])]
    while (cells.length <= column) cells.push('')
    cells[column] = cell
    rows[row] = cells
    this.table = { ...this.table, rows }
  }

  /** Brings it in; sent again, it comes in once. */
  bringIn(): Promise<Arrived> {
    const params = { path: { id: this.#id } }
    return answer(
      this.about === 'students'
        ? api.PUT('/api/arrivals/{id}/students', { params, body: this.students })
        : api.PUT('/api/arrivals/{id}/attendance', { params, body: this.attendance }),
    )
  }

  leave() {
    this.table = undefined
    this.choices = {}
    this.people = []
    this.#id = v7()
  }
}

/** What came in, in words. */
export function inWords({ added, changed, presences }: Arrived): string {
  const parts = [
    added && `${added} ${added === 1 ? 'student' : 'students'} came in`,
    changed && `${changed} changed`,
    presences && `attendance: ${presences} ${presences === 1 ? 'entry' : 'entries'}`,
  ]
  return parts.filter(Boolean).join(', ')
}
