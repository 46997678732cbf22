import { afterNextRender, ElementRef, inject, Injector } from '@angular/core';
import type { AbstractControl, FormGroup, ValidationErrors, ValidatorFn } from '@angular/forms';
import type * as z from 'zod';

/**
 * Judges a form by the schema of what it makes: the first sentence of each field lands at that field.
 * @example new FormGroup({ name: new FormControl('') }, { validators: judgedBy(placeSchema) })
 */
export function judgedBy(schema: z.ZodType): ValidatorFn {
  return (form: AbstractControl): ValidationErrors | null => {
    const read = schema.safeParse(form.value);
    if (read.success) return null;
    const says: Record<string, string> = {};
    for (const { path, message } of read.error.issues) says[path.join('.')] ??= message;
    return { says };
  };
}

/** The sentence at a field; empty while it is right, or nobody has tried to hand it in or left it. */
export function sentenceAt(form: FormGroup, field: string, tried: boolean): string {
  const control = form.get(field);
  if (!control || !(tried || control.touched)) return '';
  return (form.errors?.says as Record<string, string> | undefined)?.[field] ?? '';
}

/** After a form is refused, the hand goes to its first field that is wrong, once that is drawn. Called where one injects. */
export function firstWrong(): () => void {
  const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  const injector = inject(Injector);
  return () =>
    afterNextRender(() => host.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus(), {
      injector,
    });
}
