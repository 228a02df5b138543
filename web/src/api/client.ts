import createClient from 'openapi-fetch'
import { oneAtATime } from './oneAtATime'
import { flush, isWaiting, wait } from './outbox'
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
    /** how the thing stands that somebody else has changed; null when it is no clash */
    readonly theirs: unknown,
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

/** The server could not be reached; what was asked waits on this machine and is sent when it can be. */
export class Queued extends Error {
  constructor() {
    super('Outfell is not answering. This is kept on this machine and sent by itself when it does.')
  }
}

/** What writes nothing though it is sent, and what has a keeping of its own. */
const NOT_QUEUED = [
  /\/verdict$/,
  /\/labels$/,
  /\/check$/,
  /^\/api\/plan$/,
  /^\/api\/recipes$/,
  /^\/api\/files/,
  /^\/api\/visits\/[^/]+$/,
  /^\/api\/clients\/[^/]+\/erasure$/,
  /\/mark$/,
  /\/backups$/,
]

/** What plans, and so may take a while. */
const PLANS = /^\/api\/visits\/[^/]+\/(plan|supply|sun)/
/** What else is told of a plan, but for the drawer that stands open: one after another, so that a later plan never waits for all of it. */
const IN_TURN = /^\/api\/visits\/[^/]+\/(plan\/(?!changes)|supply|sun)/

/** Sends what plans under a name; once nobody waits for the answer, the server is told to give it up. */
function sendWithName(request: Request): Promise<Response> {
  const name = crypto.randomUUID()
  request.headers.set('X-Ask', name)
  request.signal.addEventListener('abort', () => giveUp(name))
  return fetch(request)
}

const sendInTurn = oneAtATime(sendWithName)

/** Tells the server that nobody waits any longer for what is worked out under that name. */
export function giveUp(name: string) {
  fetch(`/api/asks/${name}`, { method: 'DELETE' }).catch(() => undefined)
}

/** Sends; a write that cannot be sent waits in its turn. A shelf label that is kept is one, though it ends like a reading. */
async function sendOrWait(request: Request): Promise<Response> {
  const path = new URL(request.url).pathname
  const queued =
    request.method !== 'GET' && (/\/shelf\/labels$/.test(path) || !NOT_QUEUED.some((p) => p.test(path)))
  if (request.method === 'GET' && IN_TURN.test(path)) return sendInTurn(request)
  if (request.method === 'GET' && PLANS.test(path)) return sendWithName(request)
  if (!queued) return fetch(request)
  const copy = request.clone()
  try {
    // what waits longer goes first, else a later change would be overwritten by an earlier one
    if (isWaiting() && !(await flush())) throw new Unreachable()
    return await fetch(request)
  } catch {
    wait({
      method: request.method,
      url: path + new URL(request.url).search,
      body: (await copy.text()) || null,
    })
    throw new Queued()
  }
}

export const api = createClient<paths>({ baseUrl: '', fetch: sendOrWait })

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** Unwraps an answer: its data, or a refusal that says why. */
export async function ask<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await request
  } catch (failure) {
    const abandoned = failure instanceof DOMException && failure.name === 'AbortError'
    throw failure instanceof Queued || abandoned ? failure : new Unreachable()
  }
  if (answer.response.ok) {
    return answer.data as T
  }
  const problem = (answer.error ?? {}) as {
    code?: string
    detail?: string
    errors?: FieldProblem[]
    theirs?: unknown
  }
  throw new Refused(
    answer.response.status,
    problem.code ?? 'unknown',
    problem.detail ?? 'Outfell could not do this.',
    problem.errors ?? [],
    problem.theirs ?? null,
  )
}
