import { lazy, Suspense, useEffect, useState } from 'react'
import { BrowserRouter, Navigate, Outlet, Route, Routes } from 'react-router'
import { MutationCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { ErrorBoundary } from 'react-error-boundary'
import { ThemeProvider } from '@mui/material/styles'
import { theme } from './theme'
import { DeskDocket } from './Docket'
import { KeysHelp } from './KeysHelp'
import { Fetching } from '../shared/States'
import { Desk } from '../desk/Desk'

const VisitShell = lazy(() => import('../visit/VisitShell'))
const Talk = lazy(() => import('../visit/Talk'))
const Read = lazy(() => import('../visit/Read'))
const RegimenPage = lazy(() => import('../regimen/RegimenPage'))
const SheetPage = lazy(() => import('../sheet/SheetPage'))
const ReferralNote = lazy(() => import('../visit/ReferralNote'))
const PatchPage = lazy(() => import('../patch/PatchPage'))
const PracticePage = lazy(() => import('../practice/PracticePage'))
const HouseShelf = lazy(() => import('../products/HouseShelf'))
const ProductPage = lazy(() => import('../products/ProductPage'))
const ComparePage = lazy(() => import('../products/ComparePage'))
const FilesPage = lazy(() => import('../files/FilesPage'))
const NowPage = lazy(() => import('../visit/NowPage'))

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } },
  mutationCache: new MutationCache(),
})

function Outside() {
  const [help, setHelp] = useState(false)
  useQuestionMark(() => setHelp(true))
  return (
    <>
      <DeskDocket onKeys={() => setHelp(true)} />
      <main>
        <Outlet />
      </main>
      <KeysHelp open={help} close={() => setHelp(false)} />
    </>
  )
}

/** "?" opens the keys, unless something is being typed. */
export function useQuestionMark(open: () => void) {
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement
      if (e.key === '?' && !typing) open()
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  })
}

export function App() {
  return (
    <ThemeProvider theme={theme}>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <ErrorBoundary fallbackRender={Broken}>
            <Suspense fallback={<Fetching what="the page" />}>
              <Routes>
                <Route element={<Outside />}>
                  <Route index element={<Desk />} />
                  <Route path="products" element={<HouseShelf />} />
                  <Route path="products/compare" element={<ComparePage />} />
                  <Route path="products/files" element={<FilesPage />} />
                  <Route path="clients/:client/files" element={<FilesPage />} />
                  <Route path="products/:id" element={<ProductPage />} />
                  <Route path="practice" element={<PracticePage />} />
                  <Route path="patch/:client" element={<PatchPage />} />
                  <Route path="*" element={<Lost />} />
                </Route>
                <Route path="visits/:id" element={<VisitShell />}>
                  <Route index element={<Navigate to="talk" replace />} />
                  <Route path="talk" element={<Talk />} />
                  <Route path="now" element={<NowPage />} />
                  <Route path="read" element={<Read />} />
                  <Route path="regimen" element={<RegimenPage />} />
                  <Route path="sheet" element={<SheetPage />} />
                  <Route path="referral" element={<ReferralNote />} />
                </Route>
              </Routes>
            </Suspense>
          </ErrorBoundary>
        </BrowserRouter>
      </QueryClientProvider>
    </ThemeProvider>
  )
}

function Broken() {
  return (
    <div className="page">
      <div className="look" role="alert">
        <h1>This page could not be drawn</h1>
        <p>What you typed is kept on this machine.</p>
        <p>
          <a href="/">To the desk</a>
        </p>
      </div>
    </div>
  )
}

function Lost() {
  return (
    <div className="page">
      <h1>There is nothing at this address</h1>
      <p>
        <a href="/">Back to the desk</a>
      </p>
    </div>
  )
}
