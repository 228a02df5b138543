import { Fragment, lazy, Suspense, useEffect, useState, type ReactNode } from 'react'
import { BrowserRouter, Link, Navigate, Outlet, Route, Routes, useLocation, useNavigate } from 'react-router'
import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister'
import { QueryClient } from '@tanstack/react-query'
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client'
import { del, get, set } from 'idb-keyval'
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary'
import Button from '@mui/material/Button'
import { ThemeProvider } from '@mui/material/styles'
import { theme } from './theme'
import { Arrival, SkipLink } from './Arrival'
import { DeskDocket } from '../docket/Docket'
import { later } from '../shared/later'
import { toldSinceOpened, useHouse } from '../api/hooks'
import { openOutbox } from '../api/outbox'
import { USUAL, writeAs } from '../shared/format'
import { useShortcut } from '../shared/shortcuts'
import { Fetching } from '../shared/States'
import { Desk } from '../desk/Desk'
import { say, speak } from '../words/say'
import '../words/app'

const VisitShell = lazy(() => import('../visit/VisitShell'))
const Talk = lazy(() => import('../visit/Talk'))
const Read = lazy(() => import('../visit/Read'))
const RegimenPage = lazy(() => import('../regimen/RegimenPage'))
const WeekPage = lazy(() => import('../week/WeekPage'))
const PlacesPage = lazy(() => import('../places/PlacesPage'))
const YearPage = lazy(() => import('../year/YearPage'))
const OwnCheckIn = lazy(() => import('../week/OwnCheckIn'))
const SheetPage = lazy(() => import('../sheet/SheetPage'))
const ReferralNote = lazy(() => import('../sheet/ReferralNote'))
const PatchPage = lazy(() => import('../patch/PatchPage'))
const PracticePage = lazy(() => import('../practice/PracticePage'))
const HouseShelf = lazy(() => import('../products/HouseShelf'))
const ProductPage = lazy(() => import('../products/ProductPage'))
const AroundPage = lazy(() => import('../products/AroundPage'))
const IngredientsPage = lazy(() => import('../products/IngredientsPage'))
const ComparePage = lazy(() => import('../products/ComparePage'))
const FilesPage = lazy(() => import('../files/FilesPage'))
const ClientPage = lazy(() => import('../client/ClientPage'))
const KeptPlanPage = lazy(() => import('../sheet/KeptPlanPage'))
const NowPage = lazy(() => import('../visit/NowPage'))

const KeysHelp = later(
  () => import('../docket/KeysHelp'),
  (m) => m.KeysHelp,
)

const DAY_MS = 24 * 60 * 60 * 1000

const queries = new QueryClient({
  defaultOptions: {
    // what was fetched stays on this machine for a day, so that a step opens without a connection
    queries: { retry: 1, refetchOnWindowFocus: false, gcTime: DAY_MS, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
})

const persister = createAsyncStoragePersister({
  key: 'outfell.fetched',
  storage: { getItem: get, setItem: set, removeItem: del },
})

void openOutbox(() => void queries.invalidateQueries())

function Outside() {
  const [help, setHelp] = useState(false)
  useShortcut('keys', () => setHelp(true))
  useShortcut('desk', useToDesk())
  return (
    <>
      <DeskDocket onKeys={() => setHelp(true)} />
      <main id="page">
        <Outlet />
      </main>
      {help && <KeysHelp close={() => setHelp(false)} />}
    </>
  )
}

function useToDesk() {
  const navigate = useNavigate()
  return () => void navigate('/')
}

/** Everything within is written as the practice writes; when that changes, it is written anew. */
function AsThePracticeWrites({ children }: { children: ReactNode }) {
  const house = useHouse()
  const formats = house.data?.details.formats ?? USUAL
  // what an earlier page has laid by may be of before the language was changed, and would open pages for ever
  const told = toldSinceOpened(house)
  writeAs(formats)
  // every word is written once, when the page is opened: another language opens it anew
  useEffect(() => {
    document.documentElement.lang = formats.language
    if (told && speak(formats.language)) window.location.reload()
  }, [formats.language, told])
  return <Fragment key={JSON.stringify(formats)}>{children}</Fragment>
}

export function App() {
  return (
    <ThemeProvider theme={theme}>
      <PersistQueryClientProvider
        client={queries}
        persistOptions={{ persister, maxAge: DAY_MS, buster: __BUILD__ }}
      >
        <BrowserRouter>
          <SkipLink />
          <Arrival />
          <Guarded>
            <Suspense fallback={<Fetching what={say('app.thePage')} />}>
              <AsThePracticeWrites>
                <Routes>
                  <Route element={<Outside />}>
                    <Route index element={<Desk />} />
                    <Route path="products" element={<HouseShelf />} />
                    <Route path="products/ingredients" element={<IngredientsPage />} />
                    <Route path="products/compare" element={<ComparePage />} />
                    <Route path="products/files" element={<FilesPage />} />
                    <Route path="clients/:client" element={<ClientPage />} />
                    <Route path="clients/:client/files" element={<FilesPage />} />
                    <Route path="plans/:plan" element={<KeptPlanPage />} />
                    <Route path="products/:id" element={<ProductPage />} />
                    <Route path="products/:id/around" element={<AroundPage />} />
                    <Route path="practice" element={<PracticePage />} />
                    <Route path="places" element={<PlacesPage />} />
                    <Route path="patch/:client" element={<PatchPage />} />
                    <Route path="*" element={<Lost />} />
                  </Route>
                  <Route path="clients/:client/check-in" element={<OwnCheckIn />} />
                  <Route path="visits/:id" element={<VisitShell />}>
                    <Route index element={<Navigate to="talk" replace />} />
                    <Route path="talk" element={<Talk />} />
                    <Route path="now" element={<NowPage />} />
                    <Route path="read" element={<Read />} />
                    <Route path="regimen" element={<RegimenPage />} />
                    <Route path="nights" element={<WeekPage />} />
                    <Route path="year" element={<YearPage />} />
                    <Route path="sheet" element={<SheetPage />} />
                    <Route path="referral" element={<ReferralNote />} />
                  </Route>
                </Routes>
              </AsThePracticeWrites>
            </Suspense>
          </Guarded>
        </BrowserRouter>
      </PersistQueryClientProvider>
    </ThemeProvider>
  )
}

/** A page that cannot be drawn is left by going to another. */
function Guarded({ children }: { children: ReactNode }) {
  const { pathname } = useLocation()
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[pathname]}>
      {children}
    </ErrorBoundary>
  )
}

function Broken({ resetErrorBoundary }: FallbackProps) {
  return (
    <div className="page">
      <div className="look" role="alert">
        <h1>{say('app.thisPageCouldNotBeDrawn')}</h1>
        <p>{say('app.whatYouTypedIsKeptOnThis')}</p>
        <p className="row">
          <Button onClick={resetErrorBoundary}>{say('app.tryAgain')}</Button>
          <Link to="/">{say('app.toTheDesk')}</Link>
        </p>
      </div>
    </div>
  )
}

function Lost() {
  return (
    <div className="page">
      <h1>{say('app.thereIsNothingAtThisAddress')}</h1>
      <p>
        <a href="/">{say('app.backToTheDesk')}</a>
      </p>
    </div>
  )
}
