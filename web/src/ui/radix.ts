// primitives that features lay out by themselves
export { Popover, Slider, ToggleGroup, Tooltip } from 'radix-ui'
