import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Shell } from './app/shell/shell';

// The round is what one opens on: its code comes while the shell starts, not after.
if (/^(#\/?(round)?)?$/.test(location.hash)) void import('./app/round/round-page');

bootstrapApplication(Shell, appConfig).catch((error: unknown) => console.error(error));
