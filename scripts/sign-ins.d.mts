export const STAFF: readonly { readonly role: string; readonly email: string; readonly password: string }[];
