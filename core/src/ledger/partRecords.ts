import type { ComponentKind } from '../layout/kinds.ts';

export interface Part {
  readonly id: string;
  readonly tag: string | null;
  readonly kind: ComponentKind;
  readonly name: string;
  readonly partNumber: string | null;
  readonly note: string;
}
