/** Benchmarks with JMH; {@code bench/report} runs them and prints one figure a line. */
package org.halfdusk.bench;
