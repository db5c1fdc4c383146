import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, type ReactNode } from 'react';
import { BrowserRouter, Navigate, Outlet, Route, Routes, useLocation } from 'react-router';
import { Toaster } from 'sonner';
import { ApiError } from './api/client';
import { useMe } from './api/queries';
import { Frame } from './shell/frame';
import { Boundary } from './ui/boundary';
import { Failed, Loading } from './ui/states';

const DeskScreen = lazy(async () => ({ default: (await import('./desk/desk-screen')).DeskScreen }));
const WorkoutsScreen = lazy(async () => ({ default: (await import('./library/workouts-screen')).WorkoutsScreen }));
const BringInScreen = lazy(async () => ({ default: (await import('./library/bring-in-screen')).BringInScreen }));
const WeekScreen = lazy(async () => ({ default: (await import('./week/week-screen')).WeekScreen }));
const PeopleScreen = lazy(async () => ({ default: (await import('./people/people-screen')).PeopleScreen }));
const ImportScreen = lazy(async () => ({ default: (await import('./people/import-screen')).ImportScreen }));
const PersonScreen = lazy(async () => ({ default: (await import('./people/person-screen')).PersonScreen }));
const RulesScreen = lazy(async () => ({ default: (await import('./rules/rules-screen')).RulesScreen }));
const WorkoutFrame = lazy(async () => ({ default: (await import('./shell/workout-frame')).WorkoutFrame }));
const WriteScreen = lazy(async () => ({ default: (await import('./write/write-screen')).WriteScreen }));
const AdaptScreen = lazy(async () => ({ default: (await import('./adapt/adapt-screen')).AdaptScreen }));
const SheetScreen = lazy(async () => ({ default: (await import('./adapt/sheet-screen')).SheetScreen }));
const SendScreen = lazy(async () => ({ default: (await import('./send/send-screen')).SendScreen }));
const BoardScreen = lazy(async () => ({ default: (await import('./board/board-screen')).BoardScreen }));
const AccountScreen = lazy(async () => ({ default: (await import('./account/account-screen')).AccountScreen }));
const LoginScreen = lazy(async () => ({ default: (await import('./shell/login-screen')).LoginScreen }));
const JoinScreen = lazy(async () => ({ default: (await import('./shell/join-screen')).JoinScreen }));
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

const screen = (element: ReactNode): ReactNode => <Screen>{element}</Screen>;

/** Without signing in: the door, and what an athlete's link opens. */
const openRoutes = [
  <Route key="login" path="/login" element={screen(<LoginScreen />)} />,
  <Route key="join" path="/join/:token" element={screen(<JoinScreen />)} />,
  <Route key="page" path="/a/:token" element={screen(<AthleteScreen />)} />,
  <Route key="clock" path="/a/:token/clock" element={screen(<ClockScreen />)} />,
];
/** The coach's screens. */
const deskRoutes = [
  <Route key="desk" index element={screen(<DeskScreen />)} />,
  <Route key="week" path="/week" element={screen(<WeekScreen />)} />,
  <Route key="workouts" path="/workouts" element={screen(<WorkoutsScreen />)} />,
  <Route key="bring-in" path="/workouts/import" element={screen(<BringInScreen />)} />,
  <Route key="people" path="/people" element={screen(<PeopleScreen />)} />,
  <Route key="import" path="/people/import" element={screen(<ImportScreen />)} />,
  <Route key="person" path="/people/:id" element={screen(<PersonScreen />)} />,
  <Route key="rules" path="/rules" element={screen(<RulesScreen />)} />,
  <Route key="account" path="/account" element={screen(<AccountScreen />)} />,
];
/** The steps of one workout. */
const workoutRoutes = [
  <Route key="index" index element={<Navigate to="write" replace />} />,
  <Route key="write" path="write" element={screen(<WriteScreen />)} />,
  <Route key="adapt" path="adapt" element={screen(<AdaptScreen />)} />,
  <Route key="sheet" path="sheet" element={screen(<SheetScreen />)} />,
  <Route key="send" path="send" element={screen(<SendScreen />)} />,
  <Route key="board" path="board" element={screen(<BoardScreen />)} />,
];

export function App() {
  return (
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <Waiting>
          <Routes>
            {openRoutes}
            <Route element={<SignedIn />}>
              <Route element={<Frame />}>
                {deskRoutes}
                <Route path="/workouts/:id" element={screen(<WorkoutFrame />)}>
                  {workoutRoutes}
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
