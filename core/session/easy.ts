import type { Target } from './document'

/** Whether a target is the named effort *easy*. */
export const isEasyEffort = (target: Target | undefined): boolean => target?.of === 'effort' && 'name' in target && target.name === 'easy'
