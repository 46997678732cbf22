import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();

// jsdom has no media queries; tests play in daylight. The CDK asks in the old way.
const nothing = (): void => undefined;
window.matchMedia = () =>
  ({
    matches: false,
    addEventListener: nothing,
    removeEventListener: nothing,
    addListener: nothing,
    removeListener: nothing,
  }) as unknown as MediaQueryList;
