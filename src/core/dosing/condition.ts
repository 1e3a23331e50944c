/** How a tool is: what is broken is not weighed on or mixed in. */
export const TOOL_CONDITIONS = ['sound', 'worn', 'broken'] as const;
