import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Visit = Schemas['Visit']
export type VisitDocument = Schemas['VisitDocument']
export type Intake = Schemas['Intake']
export type Reading = Schemas['Reading']
export type Grade = Schemas['Grade']
export type Zone = Grade['zone']
export type Sign = Grade['sign']
export type Verdict = Schemas['VerdictView']
export type PlanAnswer = Schemas['PlanAnswer']
export type Regimen = Schemas['Regimen']
export type Routine = Schemas['Routine']
export type Step = Schemas['Step']
export type Part = Routine['part']
export type Month = VisitDocument['month']
export type Because = Schemas['Because']
export type Product = Schemas['ProductView']
export type ProductForm = Schemas['ProductForm']
export type ShelfItem = Schemas['Item']
export type Vocabulary = Schemas['Vocabulary']
export type Desk = Schemas['Desk']
export type Quantity = Schemas['Probe']['quantity']
export type Spot = Schemas['Probe']
export type Conditions = Schemas['Conditions']
export type Question = Schemas['Question']
export type Referral = Schemas['Referral']

/** One field that a server refused, by JSON pointer. */
export type FieldProblem = { pointer: string; sentence: string; allowed: string }

/** What the server answers when it refuses: a code, a sentence, the fields. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    sentence: string,
    readonly fields: FieldProblem[],
    readonly theirs: Visit | null,
  ) {
    super(sentence)
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor() {
    super('Outfell is not answering. What you typed is kept on this machine.')
  }
}

export const api = createClient<paths>({ baseUrl: '' })

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** Unwraps an answer: its data, or a refusal that says why. */
export async function ask<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await request
  } catch {
    throw new Unreachable()
  }
  if (answer.response.ok) {
    return answer.data as T
  }
  const problem = (answer.error ?? {}) as {
    code?: string
    detail?: string
    errors?: FieldProblem[]
    theirs?: Visit
  }
  throw new Refused(
    answer.response.status,
    problem.code ?? 'unknown',
    problem.detail ?? 'Outfell could not do this.',
    problem.errors ?? [],
    problem.theirs ?? null,
  )
}
