/** A network of the phone's own that can really be cut: what a browser calls offline still lets a request slip through while a page or its worker starts. */
import { createServer, connect, type AddressInfo, type Socket } from 'node:net';

export interface Network {
  /** the application’s address on this network */
  readonly url: string;
  cut(): void;
  mend(): void;
  close(): Promise<void>;
}

/** @param application its address without this network */
export async function networkTo(application: string): Promise<Network> {
  const target = new URL(application);
  const open = new Set<Socket>();
  let isCut = false;
  const server = createServer((phone) => {
    if (isCut) return void phone.destroy();
    const there = connect(Number(target.port), target.hostname);
    for (const [socket, other] of [
      [phone, there],
      [there, phone],
    ] as const) {
      open.add(socket);
      socket.on('error', () => undefined).on('close', () => (open.delete(socket), other.destroy()));
      socket.pipe(other);
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const drop = (): void => open.forEach((socket) => socket.destroy());
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    cut: () => {
      isCut = true;
      drop();
    },
    mend: () => void (isCut = false),
    close: () => {
      drop();
      return new Promise((resolve) => server.close(() => resolve()));
    },
  };
}
