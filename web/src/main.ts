import { bootstrapApplication } from '@angular/platform-browser';
import { appConfig } from './app/app.config';
import { Shell } from './app/shell/shell';

// Today is what one opens on: its code comes while the shell starts, not after.
if (/^(#\/?(today)?)?$/.test(location.hash)) void import('./app/today/today-page');

bootstrapApplication(Shell, appConfig).catch((error: unknown) => console.error(error));
