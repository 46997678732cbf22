import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchCalled, batchInAddress } from '@hypogeon/core/label';
import { say } from '@hypogeon/messages/scan-page';
import { BenchTabs } from '../bench/bench-tabs';
import { Journal } from '../data/journal';
import { PICTURES_WORKER } from '../data/workers';
import { Field, FieldControl } from '../forms/field';
import { FilePick } from '../forms/file-pick';

/** Looks a second, milliseconds apart: often enough for a hand, seldom enough for a battery. */
const LOOK_EVERY_MS = 180;

/** Finds a batch by its label: through the camera, on a picture, or by the code typed. */
@Component({
  selector: 'hy-scan-page',
  imports: [FilePick, MatButton, BenchTabs, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.scanALabel() }}</h1>
    </div>
    <hy-bench-tabs />
    <div class="ways grid auto-fit-68 gap-8">
      <section class="grid content-start justify-items-start gap-3" aria-labelledby="cam">
        <h2 id="cam" class="ruled w-full">{{ say.byCamera() }}</h2>
        <video
          muted
          playsinline
          [hidden]="!looking()"
          [attr.aria-label]="say.whatTheCameraSees()"
          #video
        ></video>
        @if (looking()) {
          <button type="button" matButton="outlined" (click)="stop()">
            {{ say.stopTheCamera() }}
          </button>
        } @else {
          <button type="button" matButton="filled" (click)="start()">
            {{ say.startTheCamera() }}
          </button>
        }
        <p class="quiet small">{{ say.nothingOfWhatIt() }}</p>
      </section>
      <section class="grid content-start justify-items-start gap-3" aria-labelledby="pic">
        <h2 id="pic" class="ruled w-full">{{ say.onAPicture() }}</h2>
        <hy-file-pick
          look="outlined"
          [label]="say.chooseAPicture()"
          accept="image/*"
          (picked)="picture($event[0])"
        />
      </section>
      <section class="grid content-start justify-items-start gap-3" aria-labelledby="eye">
        <h2 id="eye" class="ruled w-full">{{ say.byEye() }}</h2>
        <form class="flex items-end gap-2.5" (submit)="$event.preventDefault(); typed(code.value)">
          <hy-field [label]="say.codeOnTheLabel()">
            <input
              hyControl
              type="text"
              placeholder="ECH-7K4"
              autocapitalize="characters"
              autocomplete="off"
              #code
            />
          </hy-field>
          <button matButton="outlined">{{ say.open() }}</button>
        </form>
      </section>
    </div>
    <p class="problem mt-4 text-do font-semibold" role="alert">{{ problem() }}</p>
  `,
  styles: `
    video {
      width: 100%;
      background: #000;
    }
    video[hidden] {
      display: none;
    }
  `,
})
export class ScanPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly router = inject(Router);
  private readonly worker = inject(PICTURES_WORKER);
  private readonly video = viewChild.required<ElementRef<HTMLVideoElement>>('video');

  protected readonly looking = signal(false);
  protected readonly problem = signal('');
  private stream: MediaStream | null = null;
  /** Which tap is being answered; none once it was called off. */
  private asking: symbol | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  protected async start(): Promise<void> {
    this.problem.set('');
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices) return this.problem.set(say.thisBrowserGivesNo());
    const asked = (this.asking = Symbol());
    let stream: MediaStream;
    try {
      stream = await devices.getUserMedia({ video: { facingMode: 'environment' } });
    } catch {
      if (this.asking !== asked) return;
      return this.problem.set(say.noCameraCouldBe());
    }
    // Left, or stopped, while the browser was asking: the camera must not stay on for nobody.
    if (this.asking !== asked) return stream.getTracks().forEach((t) => t.stop());
    this.stream = stream;
    const video = this.video().nativeElement;
    video.srcObject = stream;
    this.looking.set(true);
    try {
      await video.play();
    } catch {
      if (this.asking !== asked) return;
      this.stop();
      return this.problem.set(say.theCameraIsOpen());
    }
    void this.look();
  }

  protected stop(): void {
    this.asking = null;
    clearTimeout(this.timer);
    this.stream?.getTracks().forEach((t) => t.stop());
    this.stream = null;
    this.looking.set(false);
  }

  protected async picture(file: File | undefined): Promise<void> {
    if (!file) return;
    this.problem.set('');
    let text: string | null;
    try {
      text = await this.worker.ask((w) => w.scan(file));
    } catch {
      return this.problem.set(say.cannotBeReadHere({ name: file.name }));
    }
    if (text === null) return this.problem.set(say.noCodeIsSeen());
    this.open(text);
  }

  protected typed(code: string): void {
    const batch = batchCalled(this.state(), code);
    if (batch) void this.router.navigate(['/bench', batch.id]);
    else
      this.problem.set(
        code.trim() === '' ? say.typeTheCodeThat() : say.noBatchHasThe({ code: code.trim() }),
      );
  }

  private async look(): Promise<void> {
    const video = this.video().nativeElement;
    if (!this.stream) return;
    const { videoWidth: width, videoHeight: height } = video;
    if (width > 0) {
      const canvas = document.createElement('canvas');
      canvas.width = width;
      canvas.height = height;
      const context = canvas.getContext('2d', { willReadFrequently: true })!;
      context.drawImage(video, 0, 0);
      const { data } = context.getImageData(0, 0, width, height);
      // A frame that cannot be read is one of many: the next comes at once.
      const text = await this.worker.ask((w) => w.scanFrame(data, width, height)).catch(() => null);
      if (text !== null && this.open(text)) return;
    }
    this.timer = setTimeout(() => void this.look(), LOOK_EVERY_MS);
  }

  /** @returns whether the code named a batch of this journal */
  private open(text: string): boolean {
    const id = batchInAddress(text);
    const batch = id === null ? null : batchCalled(this.state(), id);
    if (batch) {
      this.stop();
      void this.router.navigate(['/bench', batch.id]);
      return true;
    }
    this.problem.set(id === null ? say.thatCodeIsNo() : say.thatLabelIsOf());
    return false;
  }
}
