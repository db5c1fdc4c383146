import { Suspense, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Boundary } from '../ui/boundary';
import { Loading } from '../ui/states';

export const Waiting = ({ children }: { children: ReactNode }) => <Suspense fallback={<Loading />}>{children}</Suspense>;

/** A screen that fails leaves the frame standing; another address clears it. */
export function Screen({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <Boundary what="This screen" resetKeys={[pathname]}>
      <Waiting>{children}</Waiting>
    </Boundary>
  );
}
