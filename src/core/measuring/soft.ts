/** Whether readings on a cable's sheath give way under the jaws: what nobody recorded is taken for soft. */
export const isSoft = (cable: { coldFlow: boolean | null } | null): boolean =>
  cable !== null && cable.coldFlow !== false;
