/** A page for component tests: jsdom, with what every browser has beside it. */
import { TestEnvironment } from 'jest-environment-jsdom';

/** Of a browser's channel what React asks of it: a task of its own, on no clock that a test turns. */
class MessageChannel {
  port1 = { onmessage: null };
  port2 = { postMessage: (data) => setImmediate(() => this.port1.onmessage?.({ data })) };
}

export default class PageEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder, structuredClone, MessageChannel });
    // a failure is told by its sentence, not by the page around it
    this.global.process.env.DEBUG_PRINT_LIMIT ??= '0';
  }
}
