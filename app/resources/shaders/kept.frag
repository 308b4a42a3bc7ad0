#version 330 core
// A picture again, with its depths, so that something can still be drawn before and behind what it shows. From one that
// is twice as large: between four pixels, so all of them.
in vec2 at;
uniform sampler2D picture, depth;
uniform int times;  // pixels of it for each that is drawn
out vec4 colour;
void main() {
  colour = vec4(texture(picture, at).rgb, 1.0);
  gl_FragDepth = texelFetch(depth, ivec2(gl_FragCoord.xy) * times, 0).r;
}
