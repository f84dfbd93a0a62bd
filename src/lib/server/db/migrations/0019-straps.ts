/** One thing more that stands in a practice: straps to hang the feet in. */
export const TABLES = [] as const;

export const name = '0019-straps';

const KINDS = `'seat','pad','wedge','weight','chair','counter','wall','step','band','household-weight','pillow','towel','stick','bench','bolster','ball','roller','bar','cuff','extension-machine','curl-machine','leg-press','bed','straps'`;

export const up = `alter table equipment drop constraint equipment_kind_check;
alter table equipment add constraint equipment_kind_check check (kind in (${KINDS}));`;
