import createClient from 'openapi-fetch'
import { inWords } from '../fields/fields'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type Problem = Schemas['Problem']
export type Student = Schemas['Student']
export type Work = Schemas['Work']
export type SafeCopies = Schemas['SafeCopies']
export type Profile = Schemas['StudentProfile']
export type Sore = Schemas['StudentSore']
export type Drill = Schemas['Drill']
export type DrillDocument = Schemas['DrillDocument']
export type DrillCard = Schemas['DrillCard']
/** What is looked for among the drills. */
export type Sought = NonNullable<paths['/api/drills']['get']['parameters']['query']>
export type WorkedDrill = Schemas['WorkedDrill']
export type Simulation = WorkedDrill['simulation']
export type Interception = Simulation['timeline']['interceptions'][number]
export type Verdict = Interception['verdict']
export type Task = DrillDocument['pattern']['tasks'][number]
export type Variation = NonNullable<DrillDocument['variations']>[number]
export type Transformation = Schemas['FeedTransformation']
export type Vocabulary = Schemas['Vocabulary']
export type Report = Schemas['Report']
export type Lesson = Schemas['PlanLesson']
export type LessonDocument = Schemas['LessonDocument']
export type Offer = Schemas['Offer']
export type Block = Schemas['LessonBlock']
export type Plan = Schemas['Plan']
export type ScheduledBlock = Schemas['ScheduleScheduledBlock']
export type Finding = Plan['findings'][number]
export type LessonEdit = Schemas['EditingEdit']
export type EditedLesson = Schemas['EditedLesson']
export type Variant = Schemas['LessonVariant']
export type Budget = Schemas['ScheduleBudget']
export type CourtPlan = Schemas['ScheduleCourtPlan']
export type Sheet = Schemas['Sheet']
export type Template = Schemas['Template']
export type Space = Schemas['LoadSpace']
export type RotationForm = Schemas['RotationForm']
export type RotationTable = Schemas['RotationTable']
export type Cue = Schemas['RunsheetCue']
export type Counter = Schemas['UnderwayCounter']
export type Courtside = Schemas['UnderwayCourtside']
export type Act = Schemas['UnderwayAct']
export type Answered = Schemas['UnderwayAnswered']
export type Change = Schemas['UnderwayChange']
export type Kit = Schemas['UnderwayKit']
export type Why = NonNullable<Act['reason']>['why']
export type Afterwards = Schemas['Afterwards']
export type Progress = Schemas['Progress']
export type Advice = Schemas['ProgressAdvice']
export type Settings = Schemas['Settings']
export type Metric = Schemas['Metric']
export type Derivation = Schemas['MetricDerivation']
export type Sum = Schemas['MetricSum']
export type Regions = Schemas['Regions']
export type Shape = Schemas['CourtShape']
export type Transferred = Schemas['Transferred']
export type Target = Schemas['CourtTarget']
export type Reference = Omit<Schemas['DrillReword'], 'handle'>
export type DrillEdit = Schemas['DrillEdit']
export type Moved = Schemas['ReportMoved']
export type Goal = Schemas['ScoreGoal']
export type PlayerFit = Schemas['PlayerfitFit']
export type Measure = Schemas['DrillMeasure']
export type Unit = Measure['what']
export type MeasureFit = PlayerFit['measures'][number]
export type Aimed = NonNullable<MeasureFit['target']>
export type OddsAnswer = Schemas['OddsAnswer']
export type Belief = Schemas['SkillBelief']
export type Clock = Schemas['OddsClock']
export type GoalAsked = Schemas['GoalAsked']
export type TargetAsked = Schemas['TargetAsked']
export type StandAsked = Schemas['StandAsked']
export type StandAnswer = Schemas['AnticipateAnswer']
export type StandSchool = StandAnswer['stands'][number]['school']
export type Likely = Schemas['SportsLikely']
export type AnglesAsked = Schemas['AnglesAsked']
export type Sector = Schemas['AnglesSector']
export type RallyAsked = Schemas['RallyAsked']
export type AdaptRequest = Schemas['PlayerfitAdaptRequest']
export type Place = Schemas['DrillPlace']
export type Point = Schemas['CourtPoint']
export type Court = Schemas['Court']
export type Face = Schemas['DrillFace']
export type Travel = Schemas['EditingTravel']
export type Entry = Schemas['TallyEntry']
export type Remark = Schemas['Remark']
export type LessonBrief = Schemas['LessonBrief']
export type Week = Schemas['Week']
export type Unreadable = Schemas['Unreadable']
export type Game = Schemas['Game']
export type GameDocument = Schemas['GameDocument']
export type GameRules = Schemas['GameRules']
export type GameAward = Schemas['GameAward']
export type GameRestriction = Schemas['GameRestriction']
export type LineRead = Schemas['LineRead']
export type GameMeasure = Schemas['GameMeasure']
export type GameVersion = Schemas['GameVersion']
export type GameAsked = Schemas['GameAsked']
export type GameEvent = Schemas['GameEvent']
export type GameState = Schemas['GameState']
export type Match = Schemas['GameMatch']
export type Round = Schemas['GameRound']
export type WorkedGame = Schemas['WorkedGame']
export type OnCourt = Schemas['ReportOnCourt']
export type DoorState = Schemas['Status']
export type PairedDevice = Schemas['PairedDevice']
export type PairingCode = Schemas['PairingCode']
export type Closing = Schemas['ClosingDocument']
export type Equipment = Schemas['Equipment']
export type SaidEvent = Schemas['EquipmentSaidEvent']
export type MachineCommand = Schemas['ThrowingCommand']
export type Played = Schemas['ScoreboardPlayed']
export type Scored = Schemas['ScoreboardScored']
export type GameKit = Schemas['ScoreboardKit']
export type GameVersionAsked = Schemas['DeviceVersionAsked']
export type Ranked = Schemas['Ranked']
export type Pairing = Schemas['RankingMatch']

export type Table = Schemas['SheetsTable']
export type StudentsAsked = Schemas['RosterAsked']
export type StudentsRead = Schemas['RosterReading']
export type TableField = Schemas['RosterField']
export type AttendanceAsked = Schemas['RosterAttendanceAsked']
export type AttendanceRead = Schemas['RosterAttendanceReading']
export type Arrived = Schemas['Arrived']
export type Attendance = Schemas['Attendance']
export type Booking = Schemas['Booking']
export type Looked = Schemas['Looked']
export type Coming = Schemas['Coming']
export type CalendarFrom = Schemas['CalendarFrom']
export type CalendarRead = Schemas['CalendarRead']

/** fileBody sends a file as it is; the types that are made from the description have none for it. */
export const fileBody = (file: Blob) => ({
  body: file as unknown as string,
  bodySerializer: (sent: unknown) => sent as BodyInit,
  headers: { 'Content-Type': 'application/octet-stream' },
})

export const api = createClient<paths>({ baseUrl: '/' })

/** Refusal is an answer that says what went wrong. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }

  get status() {
    return this.problem.status
  }

  /** The messages by the path of their field. */
  get fields(): Record<string, string> {
    return Object.fromEntries(this.problem.fields.map((field) => [field.path, field.message]))
  }
}

/** Answers that say nothing about what was sent: it waits until this device is let in, or may send again. */
const waits = [401, 403, 408, 421, 429]

/** judges says whether an answer is about what was sent; without one it is sent again. */
export const judges = (error: unknown): error is Refusal =>
  error instanceof Refusal && error.status < 500 && !waits.includes(error.status)

/** Unreachable says that no answer came at all. */
export class Unreachable extends Error {
  constructor() {
    super('Hodometer does not answer. Is it still running, and is this device on the same network?')
  }
}

/** A signal that gives a call up that gets no answer, so that what waits behind it is sent again. */
export const patience = () => AbortSignal.timeout(10_000)

/** answer unpacks what a call brought, or throws a Refusal, or Unreachable. */
export async function answer<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const result = await call.catch((cause: unknown) => {
    const away =
      cause instanceof TypeError || (cause instanceof DOMException && cause.name === 'TimeoutError')
    throw away ? new Unreachable() : cause
  })
  if (result.error !== undefined || !result.response.ok) {
    throw new Refusal(asProblem(result.error, result.response))
  }
  return result.data as T
}

function asProblem(error: unknown, response: Response): Problem {
  if (typeof error === 'object' && error !== null && 'fields' in error) return error as Problem
  return {
    type: 'about:blank',
    title: response.statusText,
    status: response.status,
    detail: response.statusText,
    fields: [],
  }
}

/** isNew is the precondition of saving something for the first time. */
export const isNew = { 'If-None-Match': '*' }

/** over is the precondition of saving over a revision. */
export const over = (revision: number) => ({ 'If-Match': `"${revision}"` })

/** describe puts any error into words; a refusal names its fields, whether they are on the page or not. */
export function describe(error: unknown): string {
  if (!(error instanceof Refusal)) return error instanceof Error ? error.message : String(error)
  return [error.message, named(error)].filter(Boolean).join(' ')
}

/** why says only what is wrong, for where nothing was to be saved. */
export const why = (error: unknown) => (error instanceof Refusal && named(error)) || describe(error)

/** plainly says the first thing that is wrong, for where it is plain what it is about. */
export const plainly = (error: unknown) =>
  (error instanceof Refusal && error.problem.fields[0]?.message) || describe(error)

const named = (refusal: Refusal) =>
  refusal.problem.fields.map(({ path, message }) => `${inWords(path)}: ${message}.`).join(' ')
