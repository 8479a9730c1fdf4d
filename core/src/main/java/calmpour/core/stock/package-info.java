/** What is in the workshop of a material: bottles, lots, amounts, prices. */
@NullMarked
package calmpour.core.stock;

import org.jspecify.annotations.NullMarked;
