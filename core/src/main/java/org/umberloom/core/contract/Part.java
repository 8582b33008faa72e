package org.umberloom.core.contract;

import java.util.List;

/**
 * A piece of pages with its own styles.
 *
 * @param name   its folder
 * @param shown  its place on a specimen, from 0
 * @param region what it is on a page, as a selector, where it is a region of the frame; else empty
 * @param sample a piece of HTML that shows it; empty where it shows only as the frame of a page
 */
public record Part(
        String name,
        String title,
        String purpose,
        PartRule.Layer layer,
        int shown,
        String region,
        String sample,
        List<Role> roles,
        List<Choice> choices,
        List<PartRule> rules) {
    public Part {
        roles = List.copyOf(roles);
        choices = List.copyOf(choices);
        rules = List.copyOf(rules);
    }
}
