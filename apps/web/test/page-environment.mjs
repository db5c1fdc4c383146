/** A page for component tests: jsdom, with what every browser has beside it. */
import { TestEnvironment } from 'jest-environment-jsdom';

export default class PageEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder, structuredClone });
    // a failure is told by its sentence, not by the page around it
    this.global.process.env.DEBUG_PRINT_LIMIT ??= '0';
  }
}
