import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Away, Problem } from './api/problem'
import { SignedIn } from './features/account/SignedIn'
import { SignInPage } from './features/account/SignInPage'
import { BenchPage } from './features/call/BenchPage'
import { Sending } from './features/call/Sending'
import { TodayPage } from './features/call/TodayPage'

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // what the server says no to will not turn into yes; a server that is away comes back
      retry: (_, error) => error instanceof Away || (error instanceof Problem && error.status >= 500),
      retryDelay: (tries) => Math.min(1000 * 2 ** tries, 15_000),
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
})

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Routes>
          <Route path="/sign-in" element={<SignInPage />} />
          <Route
            element={
              <SignedIn>
                <Sending />
              </SignedIn>
            }
          >
            <Route path="/today" element={<TodayPage />} />
            <Route path="/surveys/:surveyId/trees/:treeId" element={<BenchPage />} />
          </Route>
          <Route path="*" element={<Navigate to="/today" replace />} />
        </Routes>
      </BrowserRouter>
    </QueryClientProvider>
  )
}
