#version 330 core
// Lays shade and outlines over a picture: blended so that what is there is darkened by alpha and the ink comes over it.
in vec2 at;
uniform sampler2D shade;  // as rest.frag makes it
uniform vec3 ink;
out vec4 colour;
void main() {
  // The corner between four pixels: the mean of the four ways to look along, and of what is on both sides of an edge.
  vec2 found = texture(shade, at + 0.5 / vec2(textureSize(shade, 0))).rg;
  float edge = 0.42 * found.g;
  colour = vec4(ink * edge, found.r * (1.0 - edge));
}
