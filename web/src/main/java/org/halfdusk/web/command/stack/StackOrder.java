package org.halfdusk.web.command.stack;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * What is asked of a stack.
 *
 * @param frames in any order
 * @param darks frames with the cap on; empty for none
 * @param ground frames of the land, which are averaged as they lie; empty for none
 * @param mask a picture of greys of the frames' size, white where the sky is; there with ground alone
 * @param aligned whether frames are turned to lie star on star
 * @param filled whether gaps between trails are drawn
 * @param fading whether trails fade towards their beginning
 * @param out the picture to be written; its name says the format
 * @param preview where a small picture grows; nothing for none
 * @param work a folder for what is kept between runs
 */
public record StackOrder(
        StackMode mode,
        List<Path> frames,
        List<Path> darks,
        List<Path> ground,
        Optional<Path> mask,
        boolean aligned,
        boolean filled,
        boolean fading,
        Path out,
        Optional<Path> preview,
        Path work) {}
