import { QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { BrowserRouter, Navigate, Outlet, Route, Routes } from 'react-router';
import { queryClient } from './api/query-client';
import { useMe } from './api/queries';
import { Frame } from './shell/frame';
import { NotFound } from './shell/not-found';
import { Screen, Waiting } from './shell/screen';
import { Messages } from './ui/messages';
import { part } from './ui/part';
import { Failed, Loading } from './ui/states';
import { WaitingNote } from './ui/waiting-note';

const DeskScreen = part('the desk', async () => (await import('./desk/desk-screen')).DeskScreen);
const WorkoutsScreen = part('the library', async () => (await import('./library/workouts-screen')).WorkoutsScreen);
const BringInScreen = part('the page that brings workouts in', async () => (await import('./library/bring-in-screen')).BringInScreen);
const WeekScreen = part('the week', async () => (await import('./week/week-screen')).WeekScreen);
const PeopleScreen = part('the people', async () => (await import('./people/people-screen')).PeopleScreen);
const ImportScreen = part('the page that brings people in', async () => (await import('./people/import-screen')).ImportScreen);
const PersonScreen = part('the person', async () => (await import('./people/person-screen')).PersonScreen);
const RecordScreen = part('the record', async () => (await import('./record/record-screen')).RecordScreen);
const RulesScreen = part('the house rules', async () => (await import('./rules/rules-screen')).RulesScreen);
const frame = () => import('./shell/workout-frame');
const WorkoutFrame = part('the workout', async () => (await frame()).WorkoutFrame);
const steps = {
  write: () => import('./write/write-screen'),
  adapt: () => import('./adapt/adapt-screen'),
  sheet: () => import('./adapt/sheet-screen'),
  send: () => import('./send/send-screen'),
  run: () => import('./together/run-screen'),
  board: () => import('./board/board-screen'),
};
const WriteScreen = part('the page to write on', async () => (await steps.write()).WriteScreen);
const AdaptScreen = part('the versions', async () => (await steps.adapt()).AdaptScreen);
const SheetScreen = part('the sheets', async () => (await steps.sheet()).SheetScreen);
const SendScreen = part('the page to send from', async () => (await steps.send()).SendScreen);
const RunScreen = part('the class', async () => (await steps.run()).RunScreen);
const BigScreen = part('the big screen', async () => (await import('./together/big-screen')).BigScreen);
const BoardScreen = part('the board', async () => (await steps.board()).BoardScreen);

/** A step that is opened by its address is fetched beside the frame around it, and the core starts meanwhile: not one after the other. */
function fetchOpened(path: string): void {
  const step = /^\/workouts\/\d+\/(\w+)/.exec(path)?.[1];
  if (step === undefined || !Object.hasOwn(steps, step)) return;
  void frame();
  void steps[step as keyof typeof steps]();
  if (step === 'write' || step === 'adapt') void import('./workers/core-client').then(({ core }) => core());
}
fetchOpened(window.location.pathname);
const AccountScreen = part('the account', async () => (await import('./account/account-screen')).AccountScreen);
const LoginScreen = part('the way in', async () => (await import('./shell/login-screen')).LoginScreen);
const ResetScreen = part('the new password', async () => (await import('./shell/reset-screen')).ResetScreen);
const JoinScreen = part('the invitation', async () => (await import('./shell/join-screen')).JoinScreen);

function SignedIn() {
  const { data: me, error, refetch } = useMe();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me) return <Loading />;
  return me.signedIn ? <Outlet /> : <Navigate to="/login" replace />;
}
const screen = (element: ReactNode): ReactNode => <Screen>{element}</Screen>;

/** Without signing in: the door, an invitation, a new password. What an athlete's link opens is an application of its own (athlete-app.tsx). */
const openRoutes = [
  <Route key="login" path="/login" element={screen(<LoginScreen />)} />,
  <Route key="join" path="/join/:token" element={screen(<JoinScreen />)} />,
  <Route key="reset" path="/reset/:token" element={screen(<ResetScreen />)} />,
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
  <Route key="record" path="/people/:id/record" element={screen(<RecordScreen />)} />,
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
  <Route key="run" path="run" element={screen(<RunScreen />)} />,
  <Route key="board" path="board" element={screen(<BoardScreen />)} />,
];

export function App() {
  return (
    <QueryClientProvider client={queryClient}>
      <BrowserRouter>
        <Waiting>
          <Routes>
            {openRoutes}
            <Route element={<SignedIn />}>
              <Route path="/workouts/:id/screen" element={screen(<BigScreen />)} />
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
      <Messages />
      <WaitingNote />
    </QueryClientProvider>
  );
}
