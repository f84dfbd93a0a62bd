/** Where work can be felt that should be felt in the muscle; `none` where it was asked and in none. */
export const JOINTS = ['none', 'knee', 'hip', 'back', 'ankle', 'foot', 'other'] as const;
