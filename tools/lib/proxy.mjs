/** A small proxy before several servers: in turn, and on to the next where one does not take the connection. For demonstration; in earnest one takes a well-known one. */
import { request, createServer } from 'node:http';

/** @param targets functions that give a port, or null while a server is down */
export function startProxy(targets, port) {
  let turn = 0;
  const server = createServer((incoming, outgoing) => {
    const chunks = [];
    incoming.on('data', (chunk) => chunks.push(chunk));
    incoming.on('end', () => forward(Buffer.concat(chunks), 0));
    const forward = (body, tries) => {
      const target = targets[turn++ % targets.length]();
      const headers = {
        ...incoming.headers,
        'x-forwarded-for': incoming.socket.remoteAddress,
        'x-forwarded-proto': 'http',
        'x-forwarded-host': incoming.headers.host,
      };
      const onward = request({ host: '127.0.0.1', port: target ?? 1, method: incoming.method, path: incoming.url, headers }, (answer) => {
        outgoing.writeHead(answer.statusCode, answer.headers);
        answer.pipe(outgoing);
        answer.on('error', () => outgoing.destroy());
      });
      onward.on('error', (error) => {
        // refused: nothing was asked yet; a reading may be asked twice
        const again = (error.code === 'ECONNREFUSED' || incoming.method === 'GET') && tries < targets.length * 2 && !outgoing.headersSent;
        if (again) return void setTimeout(() => forward(body, tries + 1), tries < targets.length ? 0 : 100);
        if (outgoing.headersSent) return outgoing.destroy();
        outgoing.writeHead(502, { 'content-type': 'application/problem+json' });
        outgoing.end(
          JSON.stringify({
            type: 'urn:gambito:problem:server_away',
            code: 'server_away',
            status: 502,
            title: 'The server is away. What you typed is kept; try again in a moment.',
          }),
        );
      });
      onward.end(body);
    };
  });
  return new Promise((resolve) =>
    server.listen(port, '127.0.0.1', () =>
      resolve({ port: server.address().port, stop: () => new Promise((done) => (server.closeAllConnections(), server.close(done))) }),
    ),
  );
}
