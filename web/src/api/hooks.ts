import { keepPreviousData, useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, ask, type Month, type ProductForm, type Schemas, type VisitDocument } from './client'
import type { paths } from './schema'

type SearchQuery = NonNullable<paths['/api/products/search']['get']['parameters']['query']>
/** What is looked for on the house shelf. */
export type Wanted = SearchQuery
export type Want = paths['/api/products/{id}/substitutes']['get']['parameters']['query']['want']

export type FileOf = paths['/api/files']['get']['parameters']['query']

/** Query keys in one place. */
export const keys = {
  vocabulary: ['vocabulary'] as const,
  desk: ['desk'] as const,
  deskOf: (of: DeskQuery) => ['desk', of] as const,
  clientPage: (id: string) => ['client', id, 'page'] as const,
  erasure: (id: string) => ['client', id, 'erasure'] as const,
  keptPlan: (id: string) => ['kept', 'plan', id] as const,
  against: (id: string, other: string) => ['kept', 'against', id, other] as const,
  visitDay: (id: string) => ['visit', id, 'day'] as const,
  openEnds: (id: string, version: number) => ['visit', id, 'open-ends', version] as const,
  house: ['house'] as const,
  backups: ['backups'] as const,
  client: (id: string) => ['client', id] as const,
  shelf: (client: string) => ['shelf', client] as const,
  products: ['products'] as const,
  search: (wanted: Wanted) => ['products', 'search', wanted] as const,
  comparison: (ids: string[]) => ['products', 'comparison', ids] as const,
  product: (id: string) => ['products', 'one', id] as const,
  around: (id: string, visit: string) => ['products', 'around', id, visit] as const,
  substitutes: (id: string, want: Want) => ['products', 'substitutes', id, want] as const,
  present: (visit: string, version: number) => ['plan', 'present', visit, version] as const,
  supply: (visit: string, version: number, month: Month) =>
    ['plan', 'supply', visit, version, month] as const,
  findings: (visit: string, version: number) => ['plan', 'findings', visit, version] as const,
  ladders: (visit: string, version: number) => ['plan', 'ladders', visit, version] as const,
  compared: (visit: string, version: number, with_: 'computed') => ['plan', with_, visit, version] as const,
  diary: (client: string) => ['diary', client] as const,
  weeks: (visit: string, version: number, shelf: string) => ['plan', 'weeks', visit, version, shelf] as const,
  year: (visit: string, version: number, shelf: string, place: string) =>
    ['plan', 'year', visit, version, shelf, place] as const,
  lastYear: (visit: string, from: string, until: string) =>
    ['plan', 'last-year', visit, from, until] as const,
  sun: (visit: string, version: number, month: Month) => ['plan', 'sun', visit, version, month] as const,
  whatIf: (visit: string, version: number, air: Record<string, number>) =>
    ['plan', 'what-if', visit, version, air] as const,
  places: ['places'] as const,
  weatherKnob: ['weather-knob'] as const,
  airAtThePractice: ['air'] as const,
  airToday: (visit: string, version: number, pauses: string) => ['air', visit, version, pauses] as const,
  rule: (at: string) => ['rule', at] as const,
  methods: ['methods'] as const,
  yardstick: ['yardstick'] as const,
  schools: ['schools'] as const,
  moved: (visit: string) => ['plan', 'moved', visit] as const,
  visit: (id: string) => ['visit', id] as const,
  verdict: (visit: string, { intake, reading }: Pick<VisitDocument, 'intake' | 'reading'>) =>
    // a note is for her own eyes: nothing follows from it
    ['verdict', visit, { ...intake, note: '' }, reading] as const,
  plans: (visit: string) => ['plan', visit] as const,
  plan: (visit: string, version: number, month: Month, shelf: string) =>
    ['plan', visit, version, month, shelf] as const,
  changes: (visit: string, version: number, month: Month, instead = '') =>
    ['plan', 'changes', visit, version, month, instead] as const,
  ownRules: ['plan', 'own-rules'] as const,
  usual: (visit: string, version: number) => ['plan', 'usual', visit, version] as const,
  byOwnRules: (visit: string, version: number) => ['plan', 'own-rules', visit, version] as const,
  kept: (visit: string) => ['kept', visit] as const,
  before: (visit: string) => ['before', visit] as const,
  others: (client: string) => ['others', client] as const,
  patches: (client: string) => ['patches', client] as const,
  pantry: ['pantry'] as const,
  mixed: (recipe: Schemas['RecipeForm'] | null) => ['mixed', recipe] as const,
  recipe: (product: string) => ['products', 'recipe', product] as const,
  bands: ['bands'] as const,
  currency: ['currency'] as const,
  file: (id: string) => ['file', id] as const,
  ingredients: (text: string) => ['ingredients', text] as const,
  ownIngredients: ['ingredients-own'] as const,
  takenFiles: (of: FileOf) => ['files', of] as const,
  probe: ['probe'] as const,
  knobs: ['knobs'] as const,
}

/** The rule at the place that a reason names. */
export const useRule = (at: string) =>
  useQuery({
    queryKey: keys.rule(at),
    queryFn: ({ signal }) => ask(api.GET('/api/rules', { params: { query: { at } }, signal })),
    staleTime: Infinity,
  })

export const useVocabulary = () =>
  useQuery({ queryKey: keys.vocabulary, queryFn: () => ask(api.GET('/api/vocabulary')), staleTime: Infinity })

export type DeskQuery = NonNullable<paths['/api/desk']['get']['parameters']['query']>

/** One page of the desk; the last stays while the next is fetched. */
export const useDesk = (of: DeskQuery) =>
  useQuery({
    queryKey: keys.deskOf(of),
    queryFn: () => ask(api.GET('/api/desk', { params: { query: of } })),
    placeholderData: keepPreviousData,
  })

/** Everything of one client on one page. */
export const useClientPage = (id: string) =>
  useQuery({
    queryKey: keys.clientPage(id),
    queryFn: () => ask(api.GET('/api/clients/{id}/page', { params: { path: { id } } })),
    enabled: id !== '',
  })

/** What erasing the record would take out and leave. */
export const useErasure = (id: string, wanted: boolean) =>
  useQuery({
    queryKey: keys.erasure(id),
    queryFn: () => ask(api.GET('/api/clients/{id}/erasure', { params: { path: { id } } })),
    enabled: wanted,
    gcTime: 0,
  })

/** A plan as it was handed over. */
export const useKeptPlan = (id: string) =>
  useQuery({
    queryKey: keys.keptPlan(id),
    queryFn: () => ask(api.GET('/api/plans/{id}', { params: { path: { id } } })),
    enabled: id !== '',
    staleTime: Infinity,
  })

/** Where a kept plan and another part; the other is "now" for what is planned today. */
export const useAgainst = (id: string, other: string) =>
  useQuery({
    queryKey: keys.against(id, other),
    queryFn: () =>
      other === 'now'
        ? ask(api.GET('/api/plans/{id}/against-now', { params: { path: { id } } }))
        : ask(api.GET('/api/plans/{id}/against/{other}', { params: { path: { id, other } } })),
    enabled: id !== '' && other !== '',
  })

/** Whose day a visit is, whether it has passed, and what was put right since. */
export const useVisitDay = (id: string) =>
  useQuery({
    queryKey: keys.visitDay(id),
    queryFn: () => ask(api.GET('/api/visits/{id}/day', { params: { path: { id } } })),
  })

/** What is still open before a visit is finished. */
export const useOpenEnds = (id: string, version: number, wanted: boolean) =>
  useQuery({
    queryKey: keys.openEnds(id, version),
    queryFn: () => ask(api.GET('/api/visits/{id}/open-ends', { params: { path: { id } } })),
    enabled: wanted,
  })

/** The practice: its name, how it writes, who works there. */
export const useHouse = () =>
  useQuery({ queryKey: keys.house, queryFn: () => ask(api.GET('/api/practice/house')) })

export const useBackups = () =>
  useQuery({ queryKey: keys.backups, queryFn: () => ask(api.GET('/api/practice/backups')) })

export const useClient = (id: string) =>
  useQuery({
    queryKey: keys.client(id),
    queryFn: () => ask(api.GET('/api/clients/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  })

export const useShelf = (client: string) =>
  useQuery({
    queryKey: keys.shelf(client),
    queryFn: () => ask(api.GET('/api/clients/{id}/shelf', { params: { path: { id: client } } })),
    enabled: client !== '',
  })

/** When this page was opened, in ms: what was fetched before was laid by by an earlier page. */
const OPENED = Date.now()

/** Whether an answer has come since this page was opened; what an earlier page laid by may be of before a change. */
export const toldSinceOpened = ({ dataUpdatedAt }: { dataUpdatedAt: number }) => dataUpdatedAt >= OPENED

/** The code of the practice's currency. */
export const useCurrency = () =>
  useQuery({
    queryKey: keys.currency,
    queryFn: () => ask(api.GET('/api/practice/currency')),
  })

/** The house shelf, searched as one types; the last answer stays while the next is fetched. */
export const useSearch = (wanted: Wanted) =>
  useQuery({
    queryKey: keys.search(wanted),
    queryFn: () => ask(api.GET('/api/products/search', { params: { query: wanted } })),
    placeholderData: keepPreviousData,
  })

export const useComparison = (ids: string[]) =>
  useQuery({
    queryKey: keys.comparison(ids),
    queryFn: () => ask(api.GET('/api/products/comparison', { params: { query: { ids } } })),
    enabled: ids.length > 1,
    retry: false,
  })

const oneProduct = (id: string) => ({
  queryKey: keys.product(id),
  queryFn: () => ask(api.GET('/api/products/{id}', { params: { path: { id } } })),
})

export const useProduct = (id: string) => useQuery(oneProduct(id))

export const useProductsNamed = (ids: string[]) => useQueries({ queries: ids.map(oneProduct) })

export const useSubstitutes = (id: string, want: Want) =>
  useQuery({
    queryKey: keys.substitutes(id, want),
    queryFn: () =>
      ask(api.GET('/api/products/{id}/substitutes', { params: { path: { id }, query: { want } } })),
  })

/** Everything that can be done with a product; each answers with the product as it then is. */
export function useProductChange(id: string) {
  const queries = useQueryClient()
  const path = { path: { id } }
  const settle = (detail: Schemas['Detail']) => {
    void queries.invalidateQueries({ queryKey: keys.products })
    void queries.invalidateQueries({ queryKey: ['plan'] })
    void queries.invalidateQueries({ queryKey: ['shelf'] })
    queries.setQueryData(keys.product(id), detail)
  }
  return {
    edit: useMutation({
      mutationFn: (body: Schemas['ProductEdit']) =>
        ask(api.PUT('/api/products/{id}', { params: path, body })),
      onSuccess: settle,
    }),
    retire: useMutation({
      mutationFn: (body: Schemas['Retirement']) =>
        ask(api.PUT('/api/products/{id}/retirement', { params: path, body })),
      onSuccess: settle,
    }),
    correct: useMutation({
      mutationFn: (body: Schemas['CorrectionForm']) =>
        ask(api.PUT('/api/products/{id}/corrections', { params: path, body })),
      onSuccess: settle,
    }),
    uncorrect: useMutation({
      mutationFn: (query: { about: Schemas['CorrectionForm']['about']; of: string; version: number }) =>
        ask(api.DELETE('/api/products/{id}/corrections', { params: { ...path, query } })),
      onSuccess: settle,
    }),
  }
}

/** What is used now, read as a regimen; for what was last saved of the visit. */
export const usePresent = (visit: string, version: number) =>
  useQuery({
    queryKey: keys.present(visit, version),
    queryFn: () => ask(api.GET('/api/visits/{id}/present', { params: { path: { id: visit } } })),
    placeholderData: keepPreviousData,
  })

/** What the plan costs and how long its packs last; the last answer stays while the next is fetched. */
export const useSupply = (visit: string, version: number, month: Month) =>
  useQuery({
    queryKey: keys.supply(visit, version, month),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/supply', { params: { path: { id: visit }, query: { month } }, signal })),
    placeholderData: keepPreviousData,
  })

/** What the steps of the plan do to one another, gravest first, and what mends each. */
export const useFindings = (visit: string, version: number) =>
  useQuery({
    queryKey: keys.findings(visit, version),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/plan/findings', { params: { path: { id: visit } }, signal })),
    placeholderData: keepPreviousData,
  })

/** What another month, or the method in place of another, changes in the plan; each with what did it. */
export const useChanges = (
  visit: string,
  version: number,
  { month, instead, enabled }: { month: Month; instead?: string | undefined; enabled: boolean },
) =>
  useQuery({
    enabled,
    queryKey: keys.changes(visit, version, month, instead),
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/visits/{id}/plan/changes', {
          params: { path: { id: visit }, query: { month, instead } },
          signal,
        }),
      ),
  })

/** What a save has told is not asked for again by the page that is drawn with it. */
export const JUST_TOLD_MS = 2000

const A_MINUTE_MS = 60_000

/**
 * The rules that the practice has otherwise than they ship, and who made them so.
 *
 * @param fresh whether they are fetched anew where they are shown: beside each reason that would be often
 */
export const useOwnRules = (fresh = false) =>
  useQuery({
    queryKey: keys.ownRules,
    queryFn: ({ signal }) => ask(api.GET('/api/practice/own-rules', { signal })),
    staleTime: fresh ? 0 : A_MINUTE_MS,
  })

/** What the practice's own rules change in the plan; asked only where it has any. */
export function useByOwnRules(visit: string, version: number) {
  const any = (useOwnRules().data?.length ?? 0) > 0
  return useQuery({
    queryKey: keys.byOwnRules(visit, version),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/plan/own-rules', { params: { path: { id: visit } }, signal })),
    enabled: any,
  })
}

/** For each of the client's limits, what less would take from the plan and what more would buy. */
export const useLadders = (visit: string, version: number) =>
  useQuery({
    queryKey: keys.ladders(visit, version),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/plan/ladders', { params: { path: { id: visit } }, signal })),
    placeholderData: keepPreviousData,
  })

/** The plan against the computed one; null when there is no plan. */
export const useComputed = (visit: string, version: number, wanted: boolean) =>
  useQuery({
    queryKey: keys.compared(visit, version, 'computed'),
    queryFn: async ({ signal }) =>
      (await ask(api.GET('/api/visits/{id}/plan/computed', { params: { path: { id: visit } }, signal }))) ??
      null,
    enabled: wanted,
    placeholderData: keepPreviousData,
  })

/** The methods that a plan may follow, and the questions that they answer. */
export const useMethods = () =>
  useQuery({ queryKey: keys.methods, queryFn: () => ask(api.GET('/api/methods')) })

/** Products that changed since the kept plan was built with them. */
export const useMoved = (visit: string) =>
  useQuery({
    queryKey: keys.moved(visit),
    queryFn: () => ask(api.GET('/api/visits/{id}/moved', { params: { path: { id: visit } } })),
  })

export const useKeptPlans = (visit: string) =>
  useQuery({
    queryKey: keys.kept(visit),
    queryFn: () => ask(api.GET('/api/visits/{id}/plans', { params: { path: { id: visit } } })),
  })

/** What was asked and read at the visit before; null when this is the first. */
export const useBefore = (visit: string) =>
  useQuery({
    queryKey: keys.before(visit),
    queryFn: async () =>
      (await ask(api.GET('/api/visits/{id}/before', { params: { path: { id: visit } } }))) ?? null,
  })

/** What other clients own and the house does not sell. */
export const useOthers = (client: string) =>
  useQuery({
    queryKey: keys.others(client),
    queryFn: () => ask(api.GET('/api/clients/{id}/shelf/others', { params: { path: { id: client } } })),
  })

export const usePatches = (client: string) =>
  useQuery({
    queryKey: keys.patches(client),
    queryFn: () => ask(api.GET('/api/clients/{client}/patch-tests', { params: { path: { client } } })),
    enabled: client !== '',
  })

/** Everything that can be done with a client's patch tests. */
export function usePatchChange(client: string) {
  const queries = useQueryClient()
  const settle = (view: Schemas['PatchView']) => {
    queries.setQueryData(keys.patches(client), view)
    void queries.invalidateQueries({ queryKey: ['plan'] })
    void queries.invalidateQueries({ queryKey: keys.desk })
  }
  return {
    start: useMutation({
      mutationFn: (body: Schemas['Start']) =>
        ask(api.POST('/api/clients/{client}/patch-tests', { params: { path: { client } }, body })),
      onSuccess: settle,
    }),
    drop: useMutation({
      mutationFn: (test: string) =>
        ask(api.DELETE('/api/patch-tests/{test}', { params: { path: { test } } })),
      onSuccess: settle,
    }),
    read: useMutation({
      mutationFn: ({ test, ...body }: Schemas['Read'] & { test: string }) =>
        ask(api.POST('/api/patch-tests/{test}/readings', { params: { path: { test } }, body })),
      onSuccess: settle,
    }),
    takeBack: useMutation({
      mutationFn: (path: { test: string; reading: string }) =>
        ask(api.DELETE('/api/patch-tests/{test}/readings/{reading}', { params: { path } })),
      onSuccess: settle,
    }),
    waive: useMutation({
      mutationFn: (body: Schemas['Waive']) =>
        ask(api.POST('/api/clients/{client}/patch-waivers', { params: { path: { client } }, body })),
      onSuccess: settle,
    }),
    unwaive: useMutation({
      mutationFn: (product: string) =>
        ask(
          api.DELETE('/api/clients/{client}/patch-waivers/{product}', {
            params: { path: { client, product } },
          }),
        ),
      onSuccess: settle,
    }),
  }
}

/** Reads a label and keeps nothing; for a visit, also what speaks against it on this client's skin. */
export const useReadLabel = (visit?: string) =>
  useMutation({
    mutationFn: async (body: ProductForm) =>
      visit === undefined
        ? { product: await ask(api.POST('/api/labels', { body })), forbidden: [] }
        : ask(api.POST('/api/visits/{id}/labels', { params: { path: { id: visit } }, body })),
  })

export function useShelfChange(client: string) {
  const queries = useQueryClient()
  const settle = (items: Schemas['Item'][]) => {
    queries.setQueryData(keys.shelf(client), items)
    void queries.invalidateQueries({ queryKey: ['plan'] })
  }
  const path = { path: { id: client } }
  return {
    addLabel: useMutation({
      mutationFn: (body: Schemas['Labelled']) =>
        ask(api.POST('/api/clients/{id}/shelf/labels', { params: path, body })),
      onSuccess: settle,
    }),
    addKnown: useMutation({
      mutationFn: (body: Schemas['Known']) =>
        ask(api.POST('/api/clients/{id}/shelf/products', { params: path, body })),
      onSuccess: settle,
    }),
    addRecipe: useMutation({
      mutationFn: (body: Schemas['ShelfRecipe']) =>
        ask(api.POST('/api/clients/{id}/shelf/recipes', { params: path, body })),
      onSuccess: settle,
    }),
    use: useMutation({
      mutationFn: ({ item, ...body }: Schemas['UseForm'] & { item: string }) =>
        ask(api.PUT('/api/clients/{id}/shelf/{item}', { params: { path: { id: client, item } }, body })),
      onSuccess: settle,
    }),
    takeOff: useMutation({
      mutationFn: (item: string) =>
        ask(api.DELETE('/api/clients/{id}/shelf/{item}', { params: { path: { id: client, item } } })),
      onSuccess: settle,
    }),
  }
}

/** A chosen file, asked for again while it is on its way. */
export const useFile = (id: string) =>
  useQuery({
    queryKey: keys.file(id),
    queryFn: () => ask(api.GET('/api/files/{id}', { params: { path: { id } } })),
    enabled: id !== '',
    retry: false,
    refetchInterval: (query) => (onItsWay(query.state.data?.state) ? 250 : false),
  })

export const onItsWay = (state: Schemas['FileView']['state'] | undefined) =>
  state === 'READING' || state === 'TAKING'

export const useTakenFiles = (of: FileOf) =>
  useQuery({
    queryKey: keys.takenFiles(of),
    queryFn: () => ask(api.GET('/api/files', { params: { query: of } })),
  })

/** Choosing a file, taking it in, taking it back. */
export function useFileChange(of: FileOf) {
  const queries = useQueryClient()
  const moved = () => {
    void queries.invalidateQueries({ queryKey: keys.takenFiles(of) })
    void queries.invalidateQueries({ queryKey: keys.products })
    void queries.invalidateQueries({ queryKey: ['plan'] })
    if (of.client) void queries.invalidateQueries({ queryKey: keys.shelf(of.client) })
  }
  const choose = useMutation({
    mutationFn: (file: File) =>
      ask(
        api.POST('/api/files', {
          params: { query: { ...of, name: file.name } },
          headers: { 'content-type': 'application/octet-stream' },
          // the file goes as it is; the generated type knows binary bodies as text only
          body: file as unknown as string,
          bodySerializer: (body) => body as unknown as File,
        }),
      ),
    onSuccess: (view) => queries.setQueryData(keys.file(view.id), view),
  })
  const take = useMutation({
    mutationFn: ({ id, who }: { id: string; who: string }) =>
      ask(api.POST('/api/files/{id}/taken', { params: { path: { id } }, body: { who } })),
    onSuccess: (view) => queries.setQueryData(keys.file(view.id), view),
  })
  const undo = useMutation({
    mutationFn: ({ id, who }: { id: string; who: string }) =>
      ask(api.POST('/api/files/{id}/undone', { params: { path: { id } }, body: { who } })),
    onSuccess: (all) => {
      queries.setQueryData(keys.takenFiles(of), all)
      moved()
    },
  })
  const match = useMutation({
    mutationFn: ({ id, who, headings }: { id: string; who: string; headings: Record<string, string> }) =>
      ask(api.PUT('/api/files/{id}/headings', { params: { path: { id } }, body: { headings, who } })),
    onSuccess: (view) => queries.setQueryData(keys.file(view.id), view),
  })
  const stop = useMutation({
    mutationFn: (id: string) => ask(api.POST('/api/files/{id}/stopped', { params: { path: { id } } })),
    onSuccess: (view) => queries.setQueryData(keys.file(view.id), view),
  })
  return { choose, take, undo, match, stop, moved }
}

export const usePantry = () =>
  useQuery({ queryKey: keys.pantry, queryFn: () => ask(api.GET('/api/pantry')), staleTime: Infinity })

/** A mixture read as it is typed; nothing is asked while it has no part. */
export const useMixed = (recipe: Schemas['RecipeForm'] | null) =>
  useQuery({
    queryKey: keys.mixed(recipe),
    queryFn: () => ask(api.POST('/api/recipes', { body: recipe as Schemas['RecipeForm'] })),
    enabled: recipe !== null,
    placeholderData: keepPreviousData,
    retry: false,
  })

export const useRecipe = (product: string) =>
  useQuery({
    queryKey: keys.recipe(product),
    queryFn: () => ask(api.GET('/api/products/{id}/recipe', { params: { path: { id: product } } })),
  })

/** What was said between visits. */
export const useDiary = (client: string) =>
  useQuery({
    queryKey: keys.diary(client),
    queryFn: () => ask(api.GET('/api/clients/{client}/diary', { params: { path: { client } } })),
  })

/** Check-ins and pauses; each has its effect on every plan of the client. */
export function useDiaryChange(client: string) {
  const queries = useQueryClient()
  const settle = (view: Schemas['Diary']) => {
    queries.setQueryData(keys.diary(client), view)
    void queries.invalidateQueries({ queryKey: ['plan'] })
    void queries.invalidateQueries({ queryKey: keys.desk })
  }
  return {
    say: useMutation({
      mutationFn: (body: Schemas['Said']) =>
        ask(api.POST('/api/clients/{client}/check-ins', { params: { path: { client } }, body })),
      onSuccess: settle,
    }),
    takeBack: useMutation({
      mutationFn: (id: string) => ask(api.DELETE('/api/check-ins/{id}', { params: { path: { id } } })),
      onSuccess: settle,
    }),
    seen: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & Schemas['SeenBy']) =>
        ask(api.PUT('/api/check-ins/{id}/seen', { params: { path: { id } }, body })),
      onSuccess: settle,
    }),
    unseen: useMutation({
      mutationFn: (id: string) => ask(api.DELETE('/api/check-ins/{id}/seen', { params: { path: { id } } })),
      onSuccess: settle,
    }),
    pause: useMutation({
      mutationFn: (body: Schemas['Pausing']) =>
        ask(api.POST('/api/clients/{client}/pauses', { params: { path: { client } }, body })),
      onSuccess: settle,
    }),
    goOn: useMutation({
      mutationFn: (id: string) => ask(api.DELETE('/api/pauses/{id}', { params: { path: { id } } })),
      onSuccess: settle,
    }),
  }
}

/** Places that ship and the practice's own, with the answers by which one is made. */
export const usePlaces = () => useQuery({ queryKey: keys.places, queryFn: () => ask(api.GET('/api/places')) })
