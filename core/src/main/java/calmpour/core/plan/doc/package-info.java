/** What a plan says: the documents that everybody reads. */
@NullMarked
package calmpour.core.plan.doc;

import org.jspecify.annotations.NullMarked;
