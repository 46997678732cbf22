import { ChangeDetectionStrategy, Component } from '@angular/core';

/** The hatchings that all drawings share; once in the page. */
@Component({
  selector: 'hy-hatch-defs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg width="0" height="0" aria-hidden="true" focusable="false">
      <defs>
        <pattern
          id="hy-rot"
          width="4.4"
          height="4.4"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="1" y1="0" x2="1" y2="4.4" class="rot" />
        </pattern>
        <pattern
          id="hy-dried"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <line x1="1" y1="0" x2="1" y2="6" class="dried" />
        </pattern>
        <pattern id="hy-lost" width="6" height="6" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1" class="lost" />
        </pattern>
        <clipPath id="hy-low"><rect x="0" y="22" width="64" height="16" /></clipPath>
      </defs>
    </svg>
  `,
  styles: `
    :host {
      position: absolute;
    }
    .rot {
      stroke: var(--rot);
      stroke-width: 2;
    }
    .dried {
      stroke: var(--ink2);
      stroke-width: 1.2;
    }
    .lost {
      fill: var(--ink2);
    }
  `,
})
export class HatchDefs {}
