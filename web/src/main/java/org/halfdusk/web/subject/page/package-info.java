/** Parts of a page that every subject fills. */
@NullMarked
package org.halfdusk.web.subject.page;

import org.jspecify.annotations.NullMarked;
