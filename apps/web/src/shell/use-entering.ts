/** Opens a session and the desk; what is wrong is told where it was typed. */
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, messageOf } from '../api/client';

export interface Entering {
  readonly enter: (path: string, body: unknown) => Promise<void>;
  readonly busy: boolean;
  readonly problem: string | null;
}

export function useEntering(): Entering {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const enter = async (path: string, body: unknown): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      await api(path, { method: 'POST', ...(body ? { body } : {}) });
      await client.invalidateQueries({ queryKey: ['me'] });
      await navigate('/');
    } catch (failure) {
      setProblem(messageOf(failure));
    } finally {
      setBusy(false);
    }
  };
  return { enter, busy, problem };
}
