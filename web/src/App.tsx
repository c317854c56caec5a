import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { Suspense } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Away, Problem } from './api/problem'
import { keepAnswers, persist } from './api/shelf'
import { SignInPage } from './features/account/SignInPage'
import { NoSuchPage } from './NoSuchPage'
import { Fetched } from './ui/Fetched'
import { later } from './ui/later'
import { Terms } from './ui/Term'

const SignedIn = later(() =>
  import('./features/account/SignedIn').then((it) => {
    whenIdle(warmUpBench)
    return it.SignedIn
  }),
)
const Sending = later(() => import('./features/bench/Sending').then((it) => it.Sending))
const TodayPage = later(() => import('./features/today/TodayPage').then((it) => it.TodayPage))
const GroupsPage = later(() => import('./features/group/GroupsPage').then((it) => it.GroupsPage))
const WelcomePage = later(() => import('./features/account/WelcomePage').then((it) => it.WelcomePage))
// the Bench and its drawings are the largest part, and are fetched when a tree is opened, or when nothing else is to do
const BenchPage = later(() => import('./features/bench/BenchPage').then((it) => it.BenchPage))
const TreeSideBySide = later(() => import('./features/group/SideBySidePages').then((it) => it.TreeSideBySide))
const GroupSideBySide = later(() =>
  import('./features/group/SideBySidePages').then((it) => it.GroupSideBySide),
)

const SeasonPage = later(() => import('./features/group/GroupPages').then((it) => it.SeasonPage))
const CharactersPage = later(() => import('./features/group/GroupPages').then((it) => it.CharactersPage))
const CardPage = later(() => import('./features/group/GroupPages').then((it) => it.CardPage))
const PracticePage = later(() => import('./features/practice/PracticePage').then((it) => it.PracticePage))
const TryPage = later(() => import('./features/practice/TryPage').then((it) => it.TryPage))
const SetPage = later(() => import('./features/practice/SetPage').then((it) => it.SetPage))
const FieldCasePage = later(() => import('./features/practice/FieldCasePage').then((it) => it.FieldCasePage))
const InstrumentsPage = later(() =>
  import('./features/bench/InstrumentsPage').then((it) => it.InstrumentsPage),
)
const ScaleCardPage = later(() => import('./features/bench/ScaleCardPage').then((it) => it.ScaleCardPage))
const CautionsPage = later(() => import('./features/group/GroupPages').then((it) => it.CautionsPage))
const VersionsPage = later(() => import('./features/group/GroupPages').then((it) => it.VersionsPage))
const ControlPage = later(() => import('./features/control/ControlPage').then((it) => it.ControlPage))
const ControlPrintPage = later(() =>
  import('./features/control/ControlPrintPage').then((it) => it.ControlPrintPage),
)
const CardsPage = later(() => import('./features/control/CardsPage').then((it) => it.CardsPage))
const ControlCardPage = later(() => import('./features/control/CardPage').then((it) => it.CardPage))
const SurveySeasonPage = later(() => import('./features/season/SeasonPage').then((it) => it.SeasonPage))
const TreesOfFigurePage = later(() =>
  import('./features/season/TreesOfFigurePage').then((it) => it.TreesOfFigurePage),
)
const ComparedPage = later(() => import('./features/season/ComparedPage').then((it) => it.ComparedPage))
const DayEndPage = later(() => import('./features/today/DayEndPage').then((it) => it.DayEndPage))
const SamplesPage = later(() => import('./features/sample/SamplesPage').then((it) => it.SamplesPage))
const PlotsPage = later(() => import('./features/plot/PlotsPage').then((it) => it.PlotsPage))
const FieldSheetPage = later(() => import('./features/plot/PlotPaperPage').then((it) => it.FieldSheetPage))
const LabelsPage = later(() => import('./features/plot/PlotPaperPage').then((it) => it.LabelsPage))
const SurveyCardsPage = later(() =>
  import('./features/group/SurveyCardsPage').then((it) => it.SurveyCardsPage),
)
const PlotPage = later(() => import('./features/plot/PlotPage').then((it) => it.PlotPage))
const SettingsPage = later(() => import('./features/survey/SettingsPage').then((it) => it.SettingsPage))
const ExchangePage = later(() => import('./features/exchange/ExchangePage').then((it) => it.ExchangePage))
const PeoplePage = later(() => import('./features/account/PeoplePage').then((it) => it.PeoplePage))
const GalleryPage = later(() => import('./features/group/GalleryPage').then((it) => it.GalleryPage))

const EditPage = later(() => import('./features/draft/EditPage').then((it) => it.EditPage))
const ReviewPage = later(() => import('./features/review/ReviewPage').then((it) => it.ReviewPage))
const LessonsPage = later(() => import('./features/quality/LessonsPage').then((it) => it.LessonsPage))
const AgreementPage = later(() => import('./features/quality/AgreementPage').then((it) => it.AgreementPage))
const CaseFilePage = later(() => import('./features/review/CaseFilePage').then((it) => it.CaseFilePage))
const CasePage = later(() => import('./features/review/CasePage').then((it) => it.CasePage))

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
