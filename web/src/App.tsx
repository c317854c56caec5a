import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy, type ReactNode, Suspense } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Away, Problem } from './api/problem'
import { keepAnswers, persist } from './api/shelf'
import { SignInPage } from './features/account/SignInPage'
import { NoSuchPage } from './NoSuchPage'
import { Terms } from './ui/Term'

const SignedIn = lazy(() =>
  import('./features/account/SignedIn').then((it) => {
    whenIdle(warmUpBench)
    return { default: it.SignedIn }
  }),
)
const Sending = lazy(() => import('./features/bench/Sending').then((it) => ({ default: it.Sending })))
const TodayPage = lazy(() => import('./features/today/TodayPage').then((it) => ({ default: it.TodayPage })))
const GroupsPage = lazy(() =>
  import('./features/group/GroupsPage').then((it) => ({ default: it.GroupsPage })),
)
const WelcomePage = lazy(() =>
  import('./features/account/WelcomePage').then((it) => ({ default: it.WelcomePage })),
)
// the Bench and its drawings are the largest part, and are fetched when a tree is opened, or when nothing else is to do
const BenchPage = lazy(() => import('./features/bench/BenchPage').then((it) => ({ default: it.BenchPage })))
const TreeSideBySide = lazy(() =>
  import('./features/group/SideBySidePages').then((it) => ({ default: it.TreeSideBySide })),
)
const GroupSideBySide = lazy(() =>
  import('./features/group/SideBySidePages').then((it) => ({ default: it.GroupSideBySide })),
)

const SeasonPage = lazy(() =>
  import('./features/group/GroupPages').then((it) => ({ default: it.SeasonPage })),
)
const CharactersPage = lazy(() =>
  import('./features/group/GroupPages').then((it) => ({ default: it.CharactersPage })),
)
const CardPage = lazy(() => import('./features/group/GroupPages').then((it) => ({ default: it.CardPage })))
const PracticePage = lazy(() =>
  import('./features/practice/PracticePage').then((it) => ({ default: it.PracticePage })),
)
const TryPage = lazy(() => import('./features/practice/TryPage').then((it) => ({ default: it.TryPage })))
const SetPage = lazy(() => import('./features/practice/SetPage').then((it) => ({ default: it.SetPage })))
const FieldCasePage = lazy(() =>
  import('./features/practice/FieldCasePage').then((it) => ({ default: it.FieldCasePage })),
)
const InstrumentsPage = lazy(() =>
  import('./features/bench/InstrumentsPage').then((it) => ({ default: it.InstrumentsPage })),
)
const ScaleCardPage = lazy(() =>
  import('./features/bench/ScaleCardPage').then((it) => ({ default: it.ScaleCardPage })),
)
const CautionsPage = lazy(() =>
  import('./features/group/GroupPages').then((it) => ({ default: it.CautionsPage })),
)
const VersionsPage = lazy(() =>
  import('./features/group/GroupPages').then((it) => ({ default: it.VersionsPage })),
)
const ControlPage = lazy(() =>
  import('./features/control/ControlPage').then((it) => ({ default: it.ControlPage })),
)
const ControlPrintPage = lazy(() =>
  import('./features/control/ControlPrintPage').then((it) => ({ default: it.ControlPrintPage })),
)
const CardsPage = lazy(() => import('./features/control/CardsPage').then((it) => ({ default: it.CardsPage })))
const ControlCardPage = lazy(() =>
  import('./features/control/CardPage').then((it) => ({ default: it.CardPage })),
)
const SurveySeasonPage = lazy(() =>
  import('./features/season/SeasonPage').then((it) => ({ default: it.SeasonPage })),
)
const TreesOfFigurePage = lazy(() =>
  import('./features/season/TreesOfFigurePage').then((it) => ({ default: it.TreesOfFigurePage })),
)
const ComparedPage = lazy(() =>
  import('./features/season/ComparedPage').then((it) => ({ default: it.ComparedPage })),
)
const DayEndPage = lazy(() =>
  import('./features/today/DayEndPage').then((it) => ({ default: it.DayEndPage })),
)
const SamplesPage = lazy(() =>
  import('./features/sample/SamplesPage').then((it) => ({ default: it.SamplesPage })),
)
const PlotsPage = lazy(() => import('./features/plot/PlotsPage').then((it) => ({ default: it.PlotsPage })))
const FieldSheetPage = lazy(() =>
  import('./features/plot/PlotPaperPage').then((it) => ({ default: it.FieldSheetPage })),
)
const LabelsPage = lazy(() =>
  import('./features/plot/PlotPaperPage').then((it) => ({ default: it.LabelsPage })),
)
const SurveyCardsPage = lazy(() =>
  import('./features/group/SurveyCardsPage').then((it) => ({ default: it.SurveyCardsPage })),
)
const PlotPage = lazy(() => import('./features/plot/PlotPage').then((it) => ({ default: it.PlotPage })))
const SettingsPage = lazy(() =>
  import('./features/survey/SettingsPage').then((it) => ({ default: it.SettingsPage })),
)
const ExchangePage = lazy(() =>
  import('./features/exchange/ExchangePage').then((it) => ({ default: it.ExchangePage })),
)
const PeoplePage = lazy(() =>
  import('./features/account/PeoplePage').then((it) => ({ default: it.PeoplePage })),
)
const GalleryPage = lazy(() =>
  import('./features/group/GalleryPage').then((it) => ({ default: it.GalleryPage })),
)

const EditPage = lazy(() => import('./features/draft/EditPage').then((it) => ({ default: it.EditPage })))
const ReviewPage = lazy(() =>
  import('./features/review/ReviewPage').then((it) => ({ default: it.ReviewPage })),
)
const LessonsPage = lazy(() =>
  import('./features/quality/LessonsPage').then((it) => ({ default: it.LessonsPage })),
)
const AgreementPage = lazy(() =>
  import('./features/quality/AgreementPage').then((it) => ({ default: it.AgreementPage })),
)
const CaseFilePage = lazy(() =>
  import('./features/review/CaseFilePage').then((it) => ({ default: it.CaseFilePage })),
)
const CasePage = lazy(() => import('./features/review/CasePage').then((it) => ({ default: it.CasePage })))

/** Fetches the Bench and starts its core, so that the first tree opens as quickly as the next. */
function warmUpBench(): void {
  const wanted = [
    import('./features/bench/BenchPage'),
    import('./reckoner/reckoner').then((it) => it.figures.start()),
  ]
  Promise.all(wanted).catch(() => undefined) // without a network it is told when a tree is opened
}

function whenIdle(act: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(act)
  else setTimeout(act, 500)
}

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // what the server says no to will not turn into yes; a server that is away comes back
      retry: (_, error) => error instanceof Away || (error instanceof Problem && error.status >= 500),
      retryDelay: (tries) => Math.min(1000 * 2 ** tries, 15_000),
      networkMode: 'always',
      persister: persist,
    },
    mutations: { networkMode: 'always' },
  },
})

keepAnswers(queries)

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Terms>
        <BrowserRouter>
          <Routes>
            <Route path="/sign-in" element={<SignInPage />} />
            <Route path="/welcome" element={<Fetched page={<WelcomePage />} />} />
            <Route
              element={
                <Fetched
                  page={
                    <SignedIn>
                      <Suspense>
                        <Sending />
                      </Suspense>
                    </SignedIn>
                  }
                />
              }
            >
              <Route path="/today" element={<Fetched page={<TodayPage />} />} />
              <Route path="/today/end" element={<Fetched page={<DayEndPage />} />} />
              <Route path="/plots" element={<Fetched page={<PlotsPage />} />} />
              <Route path="/surveys/:surveyId/plots/:plotId" element={<Fetched page={<PlotPage />} />} />
              <Route
                path="/surveys/:surveyId/plots/:plotId/sheet"
                element={<Fetched page={<FieldSheetPage />} />}
              />
              <Route
                path="/surveys/:surveyId/plots/:plotId/labels"
                element={<Fetched page={<LabelsPage />} />}
              />
              <Route path="/surveys/:surveyId/cards" element={<Fetched page={<SurveyCardsPage />} />} />
              <Route path="/surveys/:surveyId/settings" element={<Fetched page={<SettingsPage />} />} />
              <Route path="/surveys/:surveyId/exchange" element={<Fetched page={<ExchangePage />} />} />
              <Route path="/review" element={<Fetched page={<ReviewPage />} />} />
              <Route path="/surveys/:surveyId/review/:caseId" element={<Fetched page={<CasePage />} />} />
              <Route
                path="/surveys/:surveyId/review/:caseId/file"
                element={<Fetched page={<CaseFilePage />} />}
              />
              <Route path="/control" element={<Fetched page={<ControlPage />} />} />
              <Route path="/control/cards" element={<Fetched page={<CardsPage />} />} />
              <Route path="/control/cards/:treeId" element={<Fetched page={<ControlCardPage />} />} />
              <Route
                path="/surveys/:surveyId/control/print"
                element={<Fetched page={<ControlPrintPage />} />}
              />
              <Route path="/season" element={<Fetched page={<SurveySeasonPage />} />} />
              <Route path="/season/compared" element={<Fetched page={<ComparedPage />} />} />
              <Route path="/season/trees" element={<Fetched page={<TreesOfFigurePage />} />} />
              <Route path="/samples" element={<Fetched page={<SamplesPage />} />} />
              <Route path="/quality/lessons" element={<Fetched page={<LessonsPage />} />} />
              <Route path="/quality" element={<Fetched page={<AgreementPage />} />} />
              <Route path="/people" element={<Fetched page={<PeoplePage />} />} />
              <Route path="/groups" element={<Fetched page={<GroupsPage />} />} />
              <Route path="/drawings" element={<Fetched page={<GalleryPage />} />} />
              <Route path="/groups/:groupId/season" element={<Fetched page={<SeasonPage />} />} />
              <Route path="/groups/:groupId/characters" element={<Fetched page={<CharactersPage />} />} />
              <Route path="/practice" element={<Fetched page={<PracticePage />} />} />
              <Route path="/practice/trees/:tryId" element={<Fetched page={<TryPage />} />} />
              <Route path="/practice/sets/:surveyId/:setId" element={<Fetched page={<SetPage />} />} />
              <Route path="/practice/cases/:caseId" element={<Fetched page={<FieldCasePage />} />} />
              <Route path="/instruments" element={<Fetched page={<InstrumentsPage />} />} />
              <Route path="/scale-card" element={<Fetched page={<ScaleCardPage />} />} />
              <Route path="/groups/:groupId/card" element={<Fetched page={<CardPage />} />} />
              <Route path="/groups/:groupId/cautions" element={<Fetched page={<CautionsPage />} />} />
              <Route path="/groups/:groupId/versions" element={<Fetched page={<VersionsPage />} />} />
              <Route path="/drafts/:draftId" element={<Fetched page={<EditPage />} />} />
              <Route path="/groups/:groupId" element={<Fetched page={<GroupSideBySide />} />} />
              <Route path="/surveys/:surveyId/trees/:treeId" element={<Fetched page={<BenchPage />} />} />
              <Route
                path="/surveys/:surveyId/trees/:treeId/side-by-side"
                element={<Fetched page={<TreeSideBySide />} />}
              />
              <Route path="*" element={<NoSuchPage />} />
            </Route>
            <Route path="/" element={<Navigate to="/today" replace />} />
          </Routes>
        </BrowserRouter>
      </Terms>
    </QueryClientProvider>
  )
}

/** A page whose code is fetched when it is first opened. */
function Fetched({ page }: { readonly page: ReactNode }) {
  return (
    <Suspense
      fallback={
        <p role="status" className="p-4">
          One moment …
        </p>
      }
    >
      {page}
    </Suspense>
  )
}
