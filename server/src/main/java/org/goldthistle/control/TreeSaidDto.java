package org.goldthistle.control;

import java.util.List;

/**
 * What was said of a tree before it was cut and after, the latest first.
 *
 * @param looks last looks that were taken at it
 * @param works what was done there
 */
record TreeSaidDto(List<ControlListDto.LookDto> looks, List<ControlListDto.WorkDto> works) {}
