#version 330 core
// Parts and supports, lit at their corners: most of every picture, so as little as may be is done here.
flat in int what;  // as in surface.vert
flat in vec3 base;
flat in float upright;
in float light, z;
uniform float fineness;  // pixels for each of the screen
uniform float faded;     // 1 while supports are being rebuilt
uniform float printed;   // mm; what is higher is not printed yet and pale
uniform vec2 layers;     // top of the first layer and height of the others, mm; 0: not drawn as layers
uniform vec3 part, interfaceColour, paper;
out vec4 colour;
void main() {
  vec2 pixel = gl_FragCoord.xy / fineness;
  if (!gl_FrontFacing && what == 0) {  // the inside of a cut part reads as material, hatched
    colour = vec4(mod(pixel.x - pixel.y, 9.0) < 1.5 ? part * 0.62 : part * 0.8, 1.0);
    return;
  }
  float bulge = 0.0;
  if (layers.y > 0.0) {  // each layer a bead: its side bulges, where layers are far enough apart on the screen
    float at = (z - layers.x) / layers.y;
    bulge = 0.17 * (fract(at) * 2.0 - 1.0) * upright * (1.0 - smoothstep(0.2, 0.45, fwidth(at)));
  }
  bool striped = what == 12 && mod(pixel.y, 6.0) < 2.0;
  vec3 lit = (striped ? interfaceColour : base) * min(light + bulge, 1.05);
  if (what > 2) lit = mix(lit, paper, 0.55 * faded);
  colour = vec4(z > printed + 0.001 ? mix(lit, paper, 0.72) : lit, 1.0);
}
