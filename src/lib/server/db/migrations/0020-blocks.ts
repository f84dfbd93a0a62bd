/** Three things more that stand in a practice: blocks, a weight vest, wedges for the toes. */
export const TABLES = [] as const;

export const name = '0020-blocks';

const KINDS = `'seat','pad','wedge','weight','chair','counter','wall','step','band','household-weight','pillow','towel','stick','bench','bolster','ball','roller','bar','cuff','extension-machine','curl-machine','leg-press','bed','straps','block','vest','toe-wedge'`;

export const up = `alter table equipment drop constraint equipment_kind_check;
alter table equipment add constraint equipment_kind_check check (kind in (${KINDS}));`;
