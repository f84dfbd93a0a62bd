/** The pages of a client's own that work without a network. */
export const PAGES: readonly string[] = ['/mine', '/mine/do', '/mine/morning', '/mine/evening'];
