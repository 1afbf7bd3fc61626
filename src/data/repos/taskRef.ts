import type { PrepTask } from '@/core/prep';
import type { Id } from '@/records';

/** The task of a plan that an action is about. */
export interface TaskRef {
  readonly pieceId: Id<'piece'>;
  readonly task: Pick<PrepTask, 'key' | 'rule' | 'title' | 'coatId' | 'scope'> &
    Partial<Pick<PrepTask, 'up'>>;
}
