/** What a stream of the server tells, as it tells it; the browser asks again by itself when it breaks off. */
import { useEffect, useRef, useState } from 'react';

/** @param path under /api @returns whether the stream is open now */
export function useNews<News>(path: string, hear: (news: News) => void): boolean {
  const [connected, setConnected] = useState(false);
  const heard = useRef(hear);
  heard.current = hear;
  useEffect(() => {
    const source = new EventSource(`/api${path}`);
    source.onopen = () => setConnected(true);
    source.onerror = () => setConnected(false);
    source.onmessage = ({ data }) => heard.current(JSON.parse(String(data)) as News);
    return () => source.close();
  }, [path]);
  return connected;
}
