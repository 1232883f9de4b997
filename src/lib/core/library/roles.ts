/** What a person does in a program; one may do several. What each may is decided on the server, in one place. */
export const roles = ['monitor', 'coordinator', 'reviewer', 'bench', 'viewer'] as const;
export type Role = (typeof roles)[number];
