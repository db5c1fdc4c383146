import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, type ReactNode } from 'react';
import { BrowserRouter, Navigate, Outlet, Route, Routes, useLocation } from 'react-router';
import { Toaster } from 'sonner';
import { ApiError } from './api/client';
import { useMe } from './api/queries';
import { Frame } from './shell/frame';
import { LoginScreen } from './shell/login-screen';
import { Boundary } from './ui/boundary';
import { Failed, Loading } from './ui/states';

const DeskScreen = lazy(async () => ({ default: (await import('./desk/desk-screen')).DeskScreen }));
const WorkoutsScreen = lazy(async () => ({ default: (await import('./desk/workouts-screen')).WorkoutsScreen }));
const PeopleScreen = lazy(async () => ({ default: (await import('./people/people-screen')).PeopleScreen }));
const PersonScreen = lazy(async () => ({ default: (await import('./people/person-screen')).PersonScreen }));
const RulesScreen = lazy(async () => ({ default: (await import('./rules/rules-screen')).RulesScreen }));
const WorkoutFrame = lazy(async () => ({ default: (await import('./shell/workout-frame')).WorkoutFrame }));
const WriteScreen = lazy(async () => ({ default: (await import('./write/write-screen')).WriteScreen }));
const AdaptScreen = lazy(async () => ({ default: (await import('./adapt/adapt-screen')).AdaptScreen }));
const SendScreen = lazy(async () => ({ default: (await import('./send/send-screen')).SendScreen }));
const BoardScreen = lazy(async () => ({ default: (await import('./board/board-screen')).BoardScreen }));
const AthleteScreen = lazy(async () => ({ default: (await import('./athlete/athlete-screen')).AthleteScreen }));
const ClockScreen = lazy(async () => ({ default: (await import('./athlete/clock-screen')).ClockScreen }));

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      refetchOnWindowFocus: true,
      retry: (count, error) => !(error instanceof ApiError && error.problem.status >= 400 && error.problem.status < 500) && count < 2,
    },
  },
});

function SignedIn() {
  const { data: me, error, refetch } = useMe();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me) return <Loading />;
  return me.signedIn ? <Outlet /> : <Navigate to="/login" replace />;
}
const Waiting = ({ children }: { children: ReactNode }) => <Suspense fallback={<Loading />}>{children}</Suspense>;
/** A screen that fails leaves the frame standing; another address clears it. */
function Screen({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <Boundary what="This screen" resetKeys={[pathname]}>
      <Waiting>{children}</Waiting>
    </Boundary>
  );
}

export function App() {
  return (
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <Waiting>
          <Routes>
            <Route
              path="/login"
              element={
                <Screen>
                  <LoginScreen />
                </Screen>
              }
            />
            <Route
              path="/a/:token"
              element={
                <Screen>
                  <AthleteScreen />
                </Screen>
              }
            />
            <Route
              path="/a/:token/clock"
              element={
                <Screen>
                  <ClockScreen />
                </Screen>
              }
            />
            <Route element={<SignedIn />}>
              <Route element={<Frame />}>
                <Route
                  index
                  element={
                    <Screen>
                      <DeskScreen />
                    </Screen>
                  }
                />
                <Route
                  path="/workouts"
                  element={
                    <Screen>
                      <WorkoutsScreen />
                    </Screen>
                  }
                />
                <Route
                  path="/people"
                  element={
                    <Screen>
                      <PeopleScreen />
                    </Screen>
                  }
                />
                <Route
                  path="/people/:id"
                  element={
                    <Screen>
                      <PersonScreen />
                    </Screen>
                  }
                />
                <Route
                  path="/rules"
                  element={
                    <Screen>
                      <RulesScreen />
                    </Screen>
                  }
                />
                <Route
                  path="/workouts/:id"
                  element={
                    <Screen>
                      <WorkoutFrame />
                    </Screen>
                  }
                >
                  <Route index element={<Navigate to="write" replace />} />
                  <Route
                    path="write"
                    element={
                      <Screen>
                        <WriteScreen />
                      </Screen>
                    }
                  />
                  <Route
                    path="adapt"
                    element={
                      <Screen>
                        <AdaptScreen />
                      </Screen>
                    }
                  />
                  <Route
                    path="send"
                    element={
                      <Screen>
                        <SendScreen />
                      </Screen>
                    }
                  />
                  <Route
                    path="board"
                    element={
                      <Screen>
                        <BoardScreen />
                      </Screen>
                    }
                  />
                </Route>
              </Route>
            </Route>
            <Route path="*" element={<NotFound />} />
          </Routes>
        </Waiting>
      </BrowserRouter>
      <Toaster
        position="bottom-center"
        toastOptions={{ className: 'font-sans', style: { background: 'var(--sheet)', color: 'var(--ink)', borderColor: 'var(--line)' } }}
      />
    </QueryClientProvider>
  );
}

function NotFound() {
  return (
    <main className="p-8">
      <h1 className="text-2xl">Nothing here</h1>
      <p className="mt-2">
        This address leads nowhere.{' '}
        <a className="underline" href="/">
          To the desk
        </a>
      </p>
    </main>
  );
}
