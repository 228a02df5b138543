import type { Intake, Question } from '../api/client'

type Answer = Intake['answers'][number]

/** Answers with one given today; an earlier answer to the same question makes way. */
export function answered(
  answers: Answer[],
  question: string,
  yes: boolean,
  today: string,
  on: string | null = null,
): Answer[] {
  return [...answers.filter((a) => a.question !== question), { question, yes, on, asked: today }]
}

/** Questions that one tap for all of them may answer: an emergency is asked by itself, and so is a guardian's consent. */
export const openInBulk = (questions: Question[]): Question[] =>
  questions.filter((q) => !q.answer && !q.alone && q.id !== 'guardian')

/** No to every question of these that nobody has answered, marked as answered together. */
export const noToTheRest = (answers: Answer[], questions: Question[], today: string): Answer[] =>
  openInBulk(questions).reduce(
    (all, q) => [...all, { question: q.id, yes: false, on: null, asked: today, bulk: true }],
    answers,
  )

/** Questions that one tap for all of them may renew. */
export const staleInBulk = (questions: Question[]): Question[] => questions.filter((q) => q.stale && !q.alone)

/** What was said before still holds: asked again today, all of a group by one tap, and marked so. */
export const stillSo = (answers: Answer[], questions: Question[], today: string): Answer[] =>
  answers.map((a) =>
    staleInBulk(questions).some((q) => q.id === a.question) ? { ...a, asked: today, bulk: true } : a,
  )

/** Questions with the answers of this window, ahead of what the server has heard. */
export const asDrafted = (questions: Question[], answers: Answer[]): Question[] =>
  questions.map((q) => {
    const answer = answers.find((a) => a.question === q.id)
    // a prescription on the shelf answers for the client: that is the server's to say
    return { ...q, answer: answer ?? q.answer, stale: q.stale && answer?.asked === q.answer?.asked }
  })

/**
 * What can hardly matter: what is no and was not touched in this sitting, and what few have and nobody was asked. A yes is never
 * among it, nor what must be asked again, nor a no that was a yes at the visit before.
 *
 * @param touched questions that were answered since the page was opened
 */
export const foldedOf = (
  questions: Question[],
  touched: ReadonlySet<string>,
  before: Intake | null | undefined,
): Question[] =>
  questions.filter((q) =>
    q.answer
      ? !q.answer.yes &&
        !q.stale &&
        !touched.has(q.id) &&
        before?.answers.find((a) => a.question === q.id)?.yes !== true
      : q.seldom,
  )
