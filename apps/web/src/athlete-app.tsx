import { QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Route, Routes } from 'react-router';
import { AthleteScreen } from './athlete/athlete-screen';
import { queryClient } from './api/query-client';
import { NotFound } from './shell/not-found';
import { Screen } from './shell/screen';
import { Messages } from './ui/messages';
import { part } from './ui/part';
import { WaitingNote } from './ui/waiting-note';

const DoorScreen = part('your page', async () => (await import('./athlete/door-screen')).DoorScreen);
const WarmUpScreen = part('the warm-up', async () => (await import('./athlete/clock-screen')).WarmUpScreen);
const ClassScreen = part('the class', async () => (await import('./athlete/clock-screen')).ClassScreen);
const ClockScreen = part('the clock', async () => (await import('./athlete/clock-screen')).ClockScreen);

/** What a link opens: the page and the clock. */
export function AthleteApp() {
  return (
    <QueryClientProvider client={queryClient}>
      <BrowserRouter>
        <Routes>
          <Route
            path="/a/own/:token"
            element={
              <Screen>
                <DoorScreen />
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
            path="/a/:token/warm-up"
            element={
              <Screen>
                <WarmUpScreen />
              </Screen>
            }
          />
          <Route
            path="/a/:token/class"
            element={
              <Screen>
                <ClassScreen />
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
          <Route path="*" element={<NotFound desk={false} />} />
        </Routes>
      </BrowserRouter>
      <Messages />
      <WaitingNote />
    </QueryClientProvider>
  );
}
