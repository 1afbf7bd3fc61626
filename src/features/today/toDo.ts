export interface ToDo {
  readonly key: string;
  readonly href: string;
  readonly title: string;
  readonly detail: string;
  /** When it must be done, or from when it can be. Null: any time. */
  readonly dueMs: number | null;
  readonly fromMs: number;
  readonly urgent: boolean;
  /** Something has to dry after it: the sooner it is done, the sooner the rest can follow. */
  readonly makesWait?: boolean;
}
